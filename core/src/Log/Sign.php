<?php

declare(strict_types=1);

namespace Olvek\Core\Log;

/** What a keeper may see in a tank and log: signs, guests, births. In plain words; what they mean is not said here. */
enum Sign: string
{
    case PaleTips = 'pale-tips';
    case YellowOldLeaves = 'yellow-old-leaves';
    case Holes = 'holes';
    case Melt = 'melt';
    case Stunted = 'stunted';
    case FloatingUp = 'floating-up';
    case NewLeaves = 'new-leaves';
    case Flower = 'flower';
    case GreenWater = 'green-water';
    case Haze = 'haze';
    case Film = 'film';
    case Foam = 'foam';
    case Tint = 'tint';
    case Smell = 'smell';
    case GasFromBed = 'gas-from-bed';
    case Pearls = 'pearls';
    case BrownDust = 'brown-dust';
    case Threads = 'threads';
    case GreenDust = 'green-dust';
    case BlueGreenSheets = 'blue-green-sheets';
    case Gasping = 'gasping';
    case Hiding = 'hiding';
    case Flashing = 'flashing';
    case Spots = 'spots';
    case Thin = 'thin';
    case Vanished = 'vanished';
    case Courting = 'courting';
    case Young = 'young';
    case Moult = 'moult';
    case SnailsClimbing = 'snails-climbing';
    case ManySnails = 'many-snails';
    case Planaria = 'planaria';
    case Hydra = 'hydra';
    case Larvae = 'larvae';
    case WaterFleas = 'water-fleas';

    public function words(): string
    {
        return match ($this) {
            self::PaleTips => 'Pale tips',
            self::YellowOldLeaves => 'Old leaves turn yellow',
            self::Holes => 'Holes in leaves',
            self::Melt => 'Leaves melt',
            self::Stunted => 'Tips stay small',
            self::FloatingUp => 'A plant floats up',
            self::NewLeaves => 'New leaves, runners',
            self::Flower => 'A flower',
            self::GreenWater => 'Green water',
            self::Haze => 'White haze',
            self::Film => 'Film on the surface',
            self::Foam => 'Foam that stays',
            self::Tint => 'Brown water',
            self::Smell => 'Smell of rot',
            self::GasFromBed => 'Bubbles from the bed',
            self::Pearls => 'Leaves give off bubbles',
            self::BrownDust => 'Brown dust',
            self::Threads => 'Thread algae',
            self::GreenDust => 'Green dust on the glass',
            self::BlueGreenSheets => 'Blue-green sheets',
            self::Gasping => 'Gasping at the surface',
            self::Hiding => 'Hiding, off their food',
            self::Flashing => 'Rubbing on things',
            self::Spots => 'White spots',
            self::Thin => 'Thin or hunched',
            self::Vanished => 'Somebody is missing',
            self::Courting => 'Courting, eggs',
            self::Young => 'Young ones',
            self::Moult => 'An empty skin',
            self::SnailsClimbing => 'Snails climb out',
            self::ManySnails => 'Many small snails',
            self::Planaria => 'Flatworms',
            self::Hydra => 'Hydra',
            self::Larvae => 'Insect larvae',
            self::WaterFleas => 'Water fleas',
        };
    }

    /** On what it is seen: "Plants", "Water and bed", "Algae", "Animals", "Guests". */
    public function section(): string
    {
        return match ($this) {
            self::PaleTips, self::YellowOldLeaves, self::Holes, self::Melt, self::Stunted, self::FloatingUp, self::NewLeaves, self::Flower,
            self::Pearls => 'Plants',
            self::GreenWater, self::Haze, self::Film, self::Foam, self::Tint, self::Smell, self::GasFromBed => 'Water and bed',
            self::BrownDust, self::Threads, self::GreenDust, self::BlueGreenSheets => 'Algae',
            self::Gasping, self::Hiding, self::Flashing, self::Spots, self::Thin, self::Vanished, self::Courting, self::Young,
            self::Moult => 'Animals',
            self::SnailsClimbing, self::ManySnails, self::Planaria, self::Hydra, self::Larvae, self::WaterFleas => 'Guests and snails',
        };
    }

    /** Whom it may be seen on: "clump", "group", or null where it is of the whole tank. */
    public function of(): ?string
    {
        return match ($this->section()) {
            'Plants' => 'clump',
            'Animals' => 'group',
            default => null,
        };
    }

    /** Whether it can be counted: animals can. */
    public function isCounted(): bool
    {
        return 'group' === $this->of();
    }

    /** Whether an alga shows: the lamp's weeks wait for that. */
    public function isAlga(): bool
    {
        return 'Algae' === $this->section() || self::GreenWater === $this;
    }
}
