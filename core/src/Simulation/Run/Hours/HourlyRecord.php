<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run\Hours;

/**
 * Tells what the water holds at the end of each hour, for drawings. Where a step spans hours, those within it lie on a straight line.
 *
 * @internal
 */
final class HourlyRecord
{
    private float $from = 0.0;
    /** @var array<string, float> */
    private array $was = [];

    /** @param \Closure(int, array<string, float>): void $record */
    public function __construct(private readonly \Closure $record, private readonly float $litres)
    {
    }

    /** @param float $clock h since midnight */
    public function before(float $clock, NitrogenChain $nitrogen, CarbonBalance $carbon, OxygenBalance $oxygen): void
    {
        $this->from = $clock;
        $this->was = $this->water($nitrogen, $carbon, $oxygen);
    }

    public function after(float $clock, NitrogenChain $nitrogen, CarbonBalance $carbon, OxygenBalance $oxygen): void
    {
        $now = $this->water($nitrogen, $carbon, $oxygen);
        for ($hour = (int) floor($this->from) + 1; $hour <= $clock + 1e-9; ++$hour) {
            $share = ($hour - $this->from) / ($clock - $this->from);
            $between = [];
            foreach ($now as $what => $value) {
                $between[$what] = $this->was[$what] + $share * ($value - $this->was[$what]);
            }
            ($this->record)($hour - 1, $between);
        }
    }

    /** @return array<string, float> */
    private function water(NitrogenChain $nitrogen, CarbonBalance $carbon, OxygenBalance $oxygen): array
    {
        return [
            'ammonia' => $nitrogen->ammonia / $this->litres,
            'nitrite' => $nitrogen->nitrite / $this->litres,
            'nitrate' => $nitrogen->nitrate / $this->litres,
            'oxygen' => $oxygen->content(),
            'pH' => -log10($carbon->hydrogen),
            'carbonDioxide' => $carbon->carbonDioxide,
        ];
    }
}
