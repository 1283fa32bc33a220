<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Olvek\Service\Account\Today;
use Twig\Attribute\AsTwigFunction;

/** The pages of a tank in its bar: what is used at its age as tabs, all else behind "More". */
final readonly class TankTabs
{
    /** Days after filling for which the first weeks have a tab of their own. C: a soil bed has settled after three months. */
    public const YOUNG = 90;
    private const ALL = [
        'today' => 'Today',
        'weeks' => 'First weeks',
        'log' => 'Log',
        'read' => 'Signs',
        'bench' => 'Plan',
        'build' => 'Build',
        'log_charts' => 'Charts',
        'photos' => 'Photos',
        'report' => 'Report',
        'methods' => 'Methods',
        'things' => 'Give and re-scape',
        'devices' => 'Devices',
        'bench_history' => 'History',
    ];
    /** Pages that say something of a filled tank only. */
    private const FILLED = ['today' => '', 'log_charts' => '', 'report' => ''];

    public function __construct(private Today $today)
    {
    }

    /** @return array{tabs: array<string, string>, more: array<string, string>} names by route */
    #[AsTwigFunction('tank_tabs')]
    public function of(Tank $tank): array
    {
        $filled = $tank->filledOn();
        $routes = match (true) {
            null === $filled => ['bench', 'build'],
            Today::between($filled, $this->today->of($tank->keeper)) < self::YOUNG => ['today', 'weeks', 'log', 'read', 'bench'],
            default => ['today', 'log', 'read', 'bench'],
        };
        $tabs = [];
        foreach ($routes as $route) {
            $tabs[$route] = self::ALL[$route];
        }
        $more = array_diff_key(self::ALL, $tabs, null === $filled ? self::FILLED : []);

        return ['tabs' => $tabs, 'more' => $more];
    }
}
