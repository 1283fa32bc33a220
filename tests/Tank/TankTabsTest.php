<?php

declare(strict_types=1);

namespace Olvek\Tests\Tank;

use Olvek\Service\Tank\TankTabs;
use Olvek\Tests\BenchTestCase;
use Olvek\Tests\FilledTank;

/** Tabs follow the tank's age, and no page is out of reach. */
final class TankTabsTest extends BenchTestCase
{
    use FilledTank;

    /** @return list<string> */
    private function tabs(): array
    {
        return array_values($this->service(TankTabs::class)->of($this->stored())['tabs']);
    }

    public function testTabsFollowTheAge(): void
    {
        self::assertSame(['Plan', 'Build'], $this->tabs());
        $this->fill(0);
        self::assertSame(['Today', 'Log', 'Signs', 'Plan'], $this->tabs());
    }

    public function testEveryPageIsReachedFromEveryOther(): void
    {
        foreach ([null, 10, 200] as $age) {
            if (null !== $age) {
                $this->fill($age);
            }
            ['tabs' => $tabs, 'more' => $more] = $this->service(TankTabs::class)->of($this->stored());
            self::assertCount(null === $age ? 9 : 12, [...$tabs, ...$more]);
            foreach ([...array_keys($tabs), ...array_keys($more)] as $route) {
                $address = $this->browser->request('GET', "/tanks/$this->tank/log")
                    ->filter('.bar-nav a')->reduce(static fn ($a): bool => $a->text() === [...$tabs, ...$more][$route])->link()->getUri();
                $this->browser->request('GET', $address);
                self::assertLessThan(400, $this->browser->getResponse()->getStatusCode(), $route);
            }
        }
    }
}
