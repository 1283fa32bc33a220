<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Standing;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Judgement\Margin\Harm\Harm;
use Olvek\Core\Judgement\Margin\Harm\HarmId;
use Olvek\Core\Judgement\Margin\Harm\Harms;
use Olvek\Core\Judgement\Margin\MarginState;
use Olvek\Core\Judgement\Margin\Outlook;
use Olvek\Core\Keeping\Estimation\Lived;

/** What one simulated tank comes to from a day on. */
final readonly class Prospect
{
    /** @param list<Harm> $harms that weigh anything at all */
    private function __construct(public array $harms)
    {
    }

    public static function of(Outlook $outlook): self
    {
        return new self(array_values(array_filter(Harms::of($outlook), self::isNews(...))));
    }

    /** A run as it lies ahead on a day. */
    public static function outlook(Lived $lived, int $day): Outlook
    {
        return new Outlook($lived->varied, $lived->trace, UnitSystem::Metric, $lived->parameters, $day);
    }

    /** Glass that is only on the thin side is no news once the tank is filled. */
    private static function isNews(Harm $harm): bool
    {
        return $harm->amount > 0.0 && (HarmId::Breakage !== $harm->id || MarginState::Fails === $harm->state);
    }

    /** Whether nothing comes to harm. */
    public function isSound(): bool
    {
        return MarginState::Fails !== Harms::state($this->harms);
    }
}
