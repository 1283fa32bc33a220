<?php

declare(strict_types=1);

namespace Olvek\Tests;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Planning\Plan\Plan;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Editing\TankEditor;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Tank\TankRepository;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Uid\Uuid;

/** A browser without scripts, signed in as a keeper with the waiting hall on the shelf. */
abstract class BenchTestCase extends WebTestCase
{
    use Services;

    protected KernelBrowser $browser;
    protected Keeper $keeper;
    protected string $tank;

    protected function setUp(): void
    {
        $this->browser = self::createClient();
        $this->keeper = $this->service(KeeperRepository::class)->enrol('Runa', 'Runa', 'a long enough word');
        $this->tank = $this->newTank($this->keeper);
        $this->browser->loginUser($this->keeper);
    }

    protected function newTank(Keeper $keeper): string
    {
        return $this->service(TankEditor::class)->begin($keeper, $this->demoPlan(), 'created')->id()->toRfc4122();
    }

    protected function demoPlan(): Plan
    {
        return $this->service(PlanDocument::class)->fromJson(
            (string) file_get_contents(\dirname(__DIR__).'/demo/waiting-hall.plan.json'),
        );
    }

    /** The tank as it is stored now. */
    protected function stored(?string $id = null): Tank
    {
        $this->service(EntityManagerInterface::class)->clear();

        return $this->service(TankRepository::class)->find(Uuid::fromString($id ?? $this->tank)) ?? self::fail('the tank is gone');
    }

    protected function plan(): Plan
    {
        return $this->service(TankEditor::class)->plan($this->service(TankRepository::class)->head($this->stored()));
    }

    protected function revisions(): int
    {
        $count = $this->service(EntityManagerInterface::class)
            ->createQuery('SELECT COUNT(r.number) FROM Olvek\Service\Tank\Revision r WHERE r.tank = :tank')
            ->setParameter('tank', Uuid::fromString($this->tank), 'uuid')
            ->getSingleScalarResult();
        self::assertIsNumeric($count);

        return (int) $count;
    }

    /**
     * Sends edits the way the page's one form does.
     *
     * @param array<string, string> $edits
     */
    protected function send(
        array $edits,
        ?int $base = null,
        string $step = 'edit',
        bool $parts = false,
        string $accept = 'application/json',
    ): void {
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/$step",
            [
                '_token' => $page->filter('#edit input[name="_token"]')->attr('value'),
                'base' => $base ?? $page->filter('#edit input[name="base"]')->attr('value'),
                'edits' => $edits,
            ],
            server: $parts
                ? [
                    'HTTP_ACCEPT' => $accept,
                    'HTTP_OLVEK_PARTS' => json_encode(
                        array_column($page->filter('[data-part]')->extract(['data-part', 'data-fingerprint']), 1, 0),
                        \JSON_THROW_ON_ERROR,
                    ),
                ]
                : [],
        );
    }

    protected function text(string $selector): string
    {
        return str_replace(["\u{00A0}", "\u{202F}"], ' ', trim($this->browser->getCrawler()->filter($selector)->text('', true)));
    }
}
