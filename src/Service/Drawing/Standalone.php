<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The paints of a drawing that leaves the page: the page's own rules, in the light theme, with every variable written out, as other
 * programs want it.
 */
final readonly class Standalone
{
    /** Rules, and what those that charts need are about. */
    private const RULE = '/[^{}@;]+\{[^{}@]*\}/';
    private const OF_CHARTS = '/\.year-|\.curve|\.gate|\.ahead-|\.read-dot|\.chart-(?:line|mark)/';
    private const SHEETS = ['bench', 'weeks', 'log'];

    public function __construct(#[Autowire('%kernel.project_dir%/assets/styles')] private string $folder)
    {
    }

    public function style(): string
    {
        $theme = $this->read('theme');
        preg_match_all('/(--[\w-]+):\s*(.+?);/', $theme, $found, \PREG_SET_ORDER);
        $values = [];
        foreach ($found as [, $name, $value]) {
            $values["var($name)"] = preg_replace('/^light-dark\((#[0-9a-f]{6}), #[0-9a-f]{6}\)$/', '$1', $value) ?? $value;
        }
        $sheets = implode("\n", array_map($this->read(...), self::SHEETS));
        preg_match_all(self::RULE, preg_replace('~/\*.*?\*/~s', '', $sheets) ?? '', $all);
        $chart = array_filter($all[0], static fn (string $rule): bool => 1 === preg_match(self::OF_CHARTS, explode('{', $rule)[0]));
        $rules = (preg_replace('~/\*.*?\*/~s', '', $this->read('strata')) ?? '').implode("\n", $chart);
        $rules .= "\n.ground{fill:var(--color-paper)}.export-mark{fill:var(--color-animal)}.strata{overflow:hidden}";

        return trim($this->mixed(strtr($rules, $values)));
    }

    /** Writes out mixtures of two colours. */
    private function mixed(string $rules): string
    {
        return preg_replace_callback(
            '/color-mix\(in oklab, (#[0-9a-f]{6}|white) (\d+)%, (#[0-9a-f]{6}|white|transparent)\)/',
            static function (array $m): string {
                $share = (int) $m[2] / 100;
                if ('transparent' === $m[3]) {
                    return $m[1].\sprintf('%02x', (int) round(255 * $share));
                }
                $parts = array_map(
                    static fn (string $c): array => array_map(hexdec(...), str_split('white' === $c ? 'ffffff' : substr($c, 1), 2)),
                    [$m[1], $m[3]],
                );

                return '#'.
                    implode(
                        '',
                        array_map(
                            static fn (int|float $a, int|float $b): string => \sprintf(
                                '%02x',
                                (int) round($a * $share + $b * (1 - $share)),
                            ),
                            $parts[0],
                            $parts[1],
                        ),
                    );
            },
            $rules,
        ) ?? $rules;
    }

    private function read(string $name): string
    {
        return (string) file_get_contents("$this->folder/$name.css");
    }
}
