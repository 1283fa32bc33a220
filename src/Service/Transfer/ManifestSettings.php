<?php

declare(strict_types=1);

namespace Olvek\Service\Transfer;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Keeping\Log\TestKit;
use Olvek\Core\Planning\Plan\Clump;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Site\PlainText;

/** How a keeper likes it, as the manifest of a file tells it; null for what it does not tell, or tells wrongly. */
final readonly class ManifestSettings
{
    /** Kinds of plants on hand. J: more than any shop has. */
    private const MOST_KINDS = 500;

    /** @param array<string, int> $stock pieces of plants on hand, by kind */
    private function __construct(
        private ?string $display,
        private ?UnitSystem $units,
        private ?\DateTimeZone $zone,
        private ?TestKit $kit,
        private array $stock,
    ) {
    }

    /** @param array<mixed> $settings */
    public static function read(array $settings): self
    {
        $text = static fn (string $name): ?string => \is_string($settings[$name] ?? null) ? $settings[$name] : null;
        $display = trim($text('display') ?? '');
        $zone = $text('zone');
        $stock = [];
        foreach (\is_array($settings['stock'] ?? null) ? $settings['stock'] : [] as $kind => $pieces) {
            $isKind = 1 === preg_match('/^[a-z0-9-]{1,60}$/D', (string) $kind);
            if ($isKind && \is_int($pieces) && $pieces > 0 && $pieces <= Clump::MOST_PIECES) {
                $stock[(string) $kind] = $pieces;
            }
        }

        return new self(
            '' === $display || null !== PlainText::fault($display, Keeper::LONGEST_NAME, 'A name') ? null : $display,
            UnitSystem::tryFrom($text('units') ?? ''),
            \in_array($zone, \DateTimeZone::listIdentifiers(), true) ? new \DateTimeZone($zone) : null,
            null === $text('kit') ? null : TestKit::of($text('kit')),
            \array_slice($stock, 0, self::MOST_KINDS, true),
        );
    }

    public function apply(Keeper $keeper): void
    {
        $keeper->goBy($this->display ?? $keeper->displayName());
        $keeper->prefer($this->units ?? $keeper->units());
        $keeper->liveIn($this->zone ?? $keeper->zone());
        $keeper->testWith($this->kit ?? $keeper->kit());
        foreach ($this->stock as $kind => $pieces) {
            $keeper->hold((string) $kind, $pieces);
        }
    }
}
