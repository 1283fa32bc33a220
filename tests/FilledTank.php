<?php

declare(strict_types=1);

namespace Olvek\Tests;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Service\Log\Entry;

/** A tank whose days are counted, and the forms of its first weeks. */
trait FilledTank
{
    protected function fill(int $daysAgo): void
    {
        $this->post('filled', ['day' => $this->day(-$daysAgo)]);
        self::assertResponseRedirects();
    }

    /** A day from today on, in the zone in which a new keeper lives. */
    protected function day(int $fromToday): string
    {
        return (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->modify("$fromToday days")->format('Y-m-d');
    }

    /** What every form of the keeper carries. */
    protected function token(): string
    {
        return (string) $this->browser->request('GET', '/account')->filter('body')->attr('data-token');
    }

    /** @param array<string, mixed> $sent */
    protected function post(string $where, array $sent): void
    {
        $this->browser->request('POST', "/tanks/$this->tank/weeks/$where", ['_token' => $this->token(), ...$sent]);
    }

    /**
     * Sends an entry as the log page does.
     *
     * @param array<string, mixed> $sent
     */
    protected function log(array $sent): void
    {
        $token = $this->browser->request('GET', "/tanks/$this->tank/log")->filter('.log-ways input[name="_token"]')->first()->attr('value');
        $this->browser->request(
            'POST',
            "/tanks/$this->tank/log",
            ['_token' => $token, ...$sent],
            server: ['HTTP_ACCEPT' => 'application/json'],
        );
    }

    /** @return list<Entry> */
    protected function entries(): array
    {
        $entities = $this->service(EntityManagerInterface::class);
        $entities->clear();

        return $entities->getRepository(Entry::class)->findBy(['tank' => $this->tank], ['on' => 'ASC', 'id' => 'ASC']);
    }
}
