<?php

declare(strict_types=1);

namespace Olvek\Tests\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Log\Entry;
use Olvek\Service\Log\EntryKind;
use Olvek\Service\Tank\TankRepository;
use Olvek\Tests\Services;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Console\Tester\CommandTester;

/** The ferry landing's shelf: four tanks, two of them with logbooks, all of it said to be made up. */
final class LoadTest extends WebTestCase
{
    use Services;

    private KernelBrowser $browser;

    protected function setUp(): void
    {
        $this->browser = self::createClient();
        self::assertStringContainsString('is ready', self::load());
    }

    private static function load(): string
    {
        \assert(null !== self::$kernel);
        $tester = new CommandTester((new Application(self::$kernel))->find('olvek:demo:load'));
        $tester->execute([]);
        $tester->assertCommandIsSuccessful();

        return $tester->getDisplay();
    }

    /** @return list<Entry> */
    private function entries(string $tank): array
    {
        $entities = $this->service(EntityManagerInterface::class);
        $tanks = $this->service(TankRepository::class);

        return $entities
            ->getRepository(Entry::class)
            ->findBy(['tank' => $tanks->findOneBy(['name' => $tank])], ['on' => 'ASC', 'id' => 'ASC']);
    }

    public function testItIsLoadedOnce(): void
    {
        self::assertStringContainsString('here already', self::load());
        self::assertSame(4, $this->service(TankRepository::class)->count([]));
    }

    public function testEveryLineIsSaidToBeMadeUp(): void
    {
        foreach (['Galley', 'Waiting hall'] as $tank) {
            $entries = $this->entries($tank);
            self::assertGreaterThan(20, \count($entries), $tank);
            foreach ($entries as $entry) {
                self::assertTrue($entry->madeUp, $entry->words);
            }
        }
        self::assertSame([], $this->entries('Terrace'));
    }

    /** Readings stand on the colours of a drop test: nothing between 0.05 and 0.1 mg/L of NH4, say. */
    public function testReadingsAreThoseOfAKit(): void
    {
        foreach ($this->entries('Waiting hall') as $entry) {
            if (EntryKind::Reading === $entry->kind && 'nitrate' === $entry->what) {
                self::assertContains(
                    round(4.4266 * (float) $entry->amount, 2),
                    [0.0, 1.0, 2.0, 5.0, 10.0, 20.0, 30.0, 50.0],
                    $entry->words,
                );
            }
        }
    }

    /** Day 9 of the bowl: bacteria and snails in, nitrite standing, shrimp waiting at the gate. */
    public function testTheGalleyStandsAtDayNine(): void
    {
        $keeper = $this->service(KeeperRepository::class)->named(Keeper::DEMO);
        self::assertNotNull($keeper);
        $this->browser->loginUser($keeper);
        $galley = $this->service(TankRepository::class)->findOneBy(['name' => 'Galley']);
        self::assertNotNull($galley);
        $this->browser->request('GET', "/tanks/{$galley->id()}/today");
        self::assertSelectorTextContains('.weeks-line', 'Day 9');
        self::assertSelectorExists('#gate-bacteria.gate-passed');
        self::assertSelectorExists('#gate-group-a1.gate-passed');
        self::assertSelectorExists('#gate-week.gate-waits');
        self::assertSelectorExists('#gate-group-a2.gate-later');
        self::assertSelectorTextContains('#today', 'Nitrite is at');
        self::assertSelectorTextContains('.log', '(made up)');
        $this->browser->request('GET', '/');
        self::assertSelectorTextContains('.shelf', 'Test ammonia, nitrite');
    }
}
