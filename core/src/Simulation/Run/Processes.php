<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

use Olvek\Core\Simulation\Run\Hours\WaterHours;

/**
 * What goes on in a tank, one class each, made anew for a run: some remember the day before.
 *
 * @internal
 */
final readonly class Processes
{
    public DayLight $light;
    public MulmDay $mulm;
    public TanninDay $tannin;
    public AnimalDay $animals;
    public PlantDay $plants;
    public AlgaeDay $algae;
    public LeachDay $leach;
    public BedDay $bed;
    public WaterHours $hours;
    public Vitality $vitality;

    public function __construct(RunConstants $facts)
    {
        $this->light = new DayLight($facts);
        $this->mulm = new MulmDay($facts);
        $this->tannin = new TanninDay($facts);
        $this->animals = new AnimalDay($facts);
        $this->plants = new PlantDay($facts);
        $this->algae = new AlgaeDay($facts);
        $this->leach = new LeachDay($facts);
        $this->bed = new BedDay($facts);
        $this->hours = new WaterHours($facts);
        $this->vitality = new Vitality($facts->plan);
    }
}
