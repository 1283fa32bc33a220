<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Twig\Attribute\AsTwigFunction;

/** The pages of a tank in its bar: what is used at its age as tabs, all else behind "More". */
final readonly class TankTabs
{
    private const ALL = [
        'today' => 'Today',
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

    /** @return array{tabs: array<string, string>, more: array<string, string>} names by route */
    #[AsTwigFunction('tank_tabs')]
    public function of(Tank $tank): array
    {
        $filled = $tank->filledOn();
        $routes = null === $filled ? ['bench', 'build'] : ['today', 'log', 'read', 'bench'];
        $tabs = [];
        foreach ($routes as $route) {
            $tabs[$route] = self::ALL[$route];
        }
        $more = array_diff_key(self::ALL, $tabs, null === $filled ? self::FILLED : []);

        return ['tabs' => $tabs, 'more' => $more];
    }
}
