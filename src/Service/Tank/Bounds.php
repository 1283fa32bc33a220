<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Olvek\Service\Account\Keeper;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** How much one keeper may hold, so that nobody fills the disk for all. Asked before something is added. */
final readonly class Bounds
{
    public Holding $most;

    public function __construct(
        private Holdings $holdings,
        #[Autowire('%env(int:OLVEK_MOST_TANKS)%')] int $tanks,
        #[Autowire('%env(int:OLVEK_MOST_LINES)%')] int $lines,
        #[Autowire('%env(int:OLVEK_MOST_PHOTOS)%')] int $photos,
        #[Autowire('%env(int:OLVEK_MOST_MEGABYTES)%')] int $megabytes,
    ) {
        $this->most = new Holding($tanks, $lines, $photos, 1_000_000 * $megabytes);
    }

    /** @throws OverBound where so much more would be too much */
    public function ask(Keeper $keeper, Holding $more): void
    {
        $fault = $this->fault($keeper, $more);
        if (null !== $fault) {
            throw new OverBound($fault);
        }
    }

    /** Why so much more is too much; null where there is room. What asks for nothing of a kind is never refused for it. */
    public function fault(Keeper $keeper, Holding $more): ?string
    {
        $now = $this->holdings->all($keeper);
        $over = match (true) {
            $more->tanks > 0 && $now->tanks + $more->tanks > $this->most->tanks => number_format($this->most->tanks).' tanks',
            $more->lines > 0 && $now->lines + $more->lines > $this->most->lines => number_format($this->most->lines).' log entries',
            $more->photos > 0 && $now->photos + $more->photos > $this->most->photos => number_format($this->most->photos).' photos',
            $more->bytes > 0 && $now->bytes + $more->bytes > $this->most->bytes => number_format(intdiv($this->most->bytes, 1_000_000))
                .' MB of plans and photos',
            default => null,
        };

        return null === $over
            ? null
            : "This would be more than this site keeps for one person: $over, removed tanks included. Nothing was saved. Your account page "
                .'shows what takes up room; the people who run this site can allow more.';
    }
}
