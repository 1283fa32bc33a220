<?php

declare(strict_types=1);

namespace Olvek\Core\Keeping\Log;

use Olvek\Core\Basis\Unit\CaseAttribute;
use Olvek\Core\Planning\Plan\Plan;

/** What a keeper may see in a tank and log: signs, guests, births. In plain words; what they mean stands in the room Sign. */
enum Sign: string
{
    #[Shows('Pale tips', On::Plants, 'The youngest leaves come pale, white or almost clear.')]
    case PaleTips = 'pale-tips';
    #[Shows('Old leaves turn yellow', On::Plants, 'The lowest, oldest leaves go yellow as a whole and fall; the tips stay green.')]
    case YellowOldLeaves = 'yellow-old-leaves';
    #[Shows('Yellow margins', On::Plants, 'Leaves yellow or brown from the edge inwards, the veins green.')]
    case YellowMargins = 'yellow-margins';
    #[Shows('Yellow leaves above the water', On::Plants, 'Leaves that stand in the air, of house or marsh plants, go yellow.')]
    case YellowInAir = 'yellow-in-air';
    #[Shows('Holes in leaves', On::Plants, 'Pinholes that grow, often with a yellow or brown rim; or pieces bitten out.')]
    case Holes = 'holes';
    #[Shows('Black patches on leaves', On::Plants, 'Dark, soft or dead spots in the leaf itself, that do not wipe off.')]
    case BlackPatches = 'black-patches';
    #[Shows('Leaves curl or twist', On::Plants, 'Young leaves come crumpled, rolled or hooked.')]
    case Curling = 'curling';
    #[Shows('Tips stay small', On::Plants, 'The tip makes tiny, crowded leaves, or stops.')]
    case Stunted = 'stunted';
    #[Shows('Long gaps between leaves', On::Plants, 'Thin stems that race upwards, bare below.')]
    case Leggy = 'leggy';
    #[Shows('No growth for weeks', On::Plants, 'It neither dies nor makes new leaves.')]
    case NoGrowth = 'no-growth';
    #[Shows('Leaves melt', On::Plants, 'Leaves go glassy, soft and dissolve.')]
    case Melt = 'melt';
    #[Shows('Stems rot or are slimy', On::Plants, 'Stems or crowns turn brown, soft, slimy, and smell.')]
    case Slime = 'slime';
    #[Shows('Moss or carpet browns', On::Plants, 'Moss, or a low carpet, goes brown in part or as a whole.')]
    case MossBrown = 'moss-brown';
    #[Shows('Overgrown by others', On::Plants, 'It stands in the shade of a neighbour or of floaters, and dwindles.')]
    case Swamped = 'swamped';
    #[Shows('A plant floats up', On::Plants, 'It comes loose and drifts.')]
    case FloatingUp = 'floating-up';
    #[Shows('Roots are black', On::Plants, 'Pulled up, its roots are black and soft and smell.')]
    case RootsBlack = 'roots-black';
    #[Shows('New leaves, runners', On::Plants, 'It grows: fresh leaves, runners, side shoots.', isGood: true)]
    case NewLeaves = 'new-leaves';
    #[Shows('A flower', On::Plants, 'A flower or its stalk.', isGood: true)]
    case Flower = 'flower';
    #[Shows('Leaves give off bubbles', On::Plants, 'Strings of small bubbles from leaves while the light is on.')]
    case Pearls = 'pearls';
    #[Shows('Green water', On::Water, 'The water itself is green, like pea soup.')]
    case GreenWater = 'green-water';
    #[Shows('White haze', On::Water, 'The water is milky.')]
    case Haze = 'haze';
    #[Shows('Grey or brown cloud', On::Water, 'Fine dust hangs in the water, and settles.')]
    case Dust = 'dust-cloud';
    #[Shows('Film on the surface', On::Water, 'A dull or rainbow skin on the water.')]
    case Film = 'film';
    #[Shows('Foam that stays', On::Water, 'Bubbles at the surface that do not burst.')]
    case Foam = 'foam';
    #[Shows('Brown water', On::Water, 'Clear, but the colour of tea.')]
    case Tint = 'tint';
    #[Shows('Smell of rot', On::Water, 'The water or the bed smells of rot, swamp or fish.')]
    case Smell = 'smell';
    #[Shows('Smell of rotten eggs', On::Water, 'Bubbles from the bed, or the bed when it is touched, smell of rotten eggs.')]
    case EggSmell = 'egg-smell';
    #[Shows('Bubbles from the bed', On::Water, 'Bubbles rise from the bed, by themselves or when it is pressed.')]
    case GasFromBed = 'gas-from-bed';
    #[Shows('Black patches in the bed', On::Water, 'Black places in soil or sand, seen through the glass.')]
    case BlackBed = 'black-bed';
    #[Shows('White fluff on wood or food', On::Water, 'Clear or white cotton on new wood, on seeds or on old food.')]
    case WhiteFluff = 'white-fluff';
    #[Shows('White crust at the water line', On::Water, 'A hard, chalky edge on glass, lid or leaves.')]
    case Crust = 'crust';
    #[Shows('Brown dust', On::Algae, 'A soft brown coat that wipes off with a finger.')]
    case BrownDust = 'brown-dust';
    #[Shows('Soft green threads', On::Algae, 'Long, soft, green hair that can be wound on a stick.')]
    case Threads = 'threads';
    #[Shows('Coarse, branched threads', On::Algae, 'Stiff, dark green, branching tufts that feel rough.')]
    case BranchedThreads = 'branched-threads';
    #[Shows('Short green fur', On::Algae, 'Short green hairs along leaf edges and stems.')]
    case Fur = 'green-fur';
    #[Shows('Black tufts', On::Algae, 'Short, dark grey to black brushes on leaf edges, wood, outlets.')]
    case BlackTufts = 'black-tufts';
    #[Shows('Grey forked strands', On::Algae, 'Grey strands, forked like antlers.')]
    case GreyForks = 'grey-forks';
    #[Shows('Green dust on the glass', On::Algae, 'A green coat on the glass that wipes off.')]
    case GreenDust = 'green-dust';
    #[Shows('Hard green spots', On::Algae, 'Round green dots on glass and old leaves that have to be scraped.')]
    case GreenSpots = 'green-spots';
    #[Shows('Blue-green sheets', On::Algae, 'Slimy blue-green or almost black skins that lift off in sheets and smell of earth.')]
    case BlueGreenSheets = 'blue-green-sheets';
    #[Shows('Gasping at the surface, mornings', On::Animals, 'At dawn they hang under the surface, later they go down.', isUrgent: true)]
    case Gasping = 'gasping';
    #[Shows('Gasping all day', On::Animals, 'They hang under the surface or breathe fast, at any hour.', isUrgent: true)]
    case GaspingAllDay = 'gasping-all-day';
    #[Shows('Hiding, off their food', On::Animals, 'They stay hidden, pale, and do not come for food.')]
    case Hiding = 'hiding';
    #[Shows('Rubbing on things', On::Animals, 'They dart and rub their sides on stones and leaves.')]
    case Flashing = 'flashing';
    #[Shows('White spots', On::Animals, 'White grains on skin or fins, like salt.')]
    case Spots = 'spots';
    #[Shows('Tufts or a coat on an animal', On::Animals, 'Cottony tufts, a grey film, or red sores.')]
    case Fluff = 'fluff';
    #[Shows('Torn or frayed fins', On::Animals, 'Fins split, frayed or bitten.')]
    case TornFins = 'torn-fins';
    #[Shows('Thin', On::Animals, 'The belly is hollow, the back sharp.')]
    case Thin = 'thin';
    #[Shows('Hunched or swollen', On::Animals, 'The back bent, or the body swollen, scales on end.')]
    case Hunched = 'hunched';
    #[Shows('Missing animals', On::Animals, 'Fewer are there, and none is found dead.')]
    case Vanished = 'vanished';
    #[Shows('Found dead', On::Animals, 'One or more lie dead.', isUrgent: true)]
    case Dead = 'dead';
    #[Shows('Dashing, jumping, clamped fins', On::Animals, 'They dash about, jump, or hold their fins tight.', isUrgent: true)]
    case Restless = 'restless';
    #[Shows('Shrimp swarm about', On::Animals, 'Many shrimp swim round and round the open water.')]
    case ShrimpSwarming = 'shrimp-swarming';
    #[Shows('Stuck in the moult', On::Animals, 'A white ring behind the head, or a shrimp dead half out of its skin.')]
    case FailedMoult = 'failed-moult';
    #[Shows('Chasing, biting', On::Animals, 'One hunts or bites the others.')]
    case Chasing = 'chasing';
    #[Shows('Courting, eggs', On::Animals, 'They display, carry or lay eggs.', isGood: true)]
    case Courting = 'courting';
    #[Shows('Young ones', On::Animals, 'Fry, shrimplets, small snails of the kept kinds.', isGood: true)]
    case Young = 'young';
    #[Shows('Masses of young', On::Animals, 'More young than the tank can feed.')]
    case ManyYoung = 'many-young';
    #[Shows('An empty skin', On::Animals, 'A clear, whole, empty shrimp skin.', isGood: true)]
    case Moult = 'moult';
    #[Shows('Snails climb out', On::Guests, 'Snails gather at or above the water line.')]
    case SnailsClimbing = 'snails-climbing';
    #[Shows('Snails lie shut', On::Guests, 'Snails lie closed or hang limp, and do not come out.')]
    case SnailsShut = 'snails-shut';
    #[Shows('Worn, white shells', On::Guests, 'Shells pitted, chalky or worn through, from the tip.')]
    case WornShells = 'worn-shells';
    #[Shows('Many small snails', On::Guests, 'Small snails everywhere, more each week.')]
    case ManySnails = 'many-snails';
    #[Shows('Flatworms', On::Guests, 'White or brown flat worms with an arrow for a head, gliding on the glass.')]
    case Planaria = 'planaria';
    #[Shows('Hydra', On::Guests, 'Small green or pale tufts with arms, sitting on glass and leaves.')]
    case Hydra = 'hydra';
    #[Shows('Thin white worms', On::Guests, 'Thread-thin white worms that wriggle in the water or on the glass.')]
    case ThreadWorms = 'thread-worms';
    #[Shows('Insect larvae', On::Guests, 'Wriggling larvae under the surface, or nymphs that hunt.')]
    case Larvae = 'larvae';
    #[Shows('Water fleas and specks', On::Guests, 'Hopping or running specks: water fleas, copepods, seed shrimp.')]
    case WaterFleas = 'water-fleas';

    public function words(): string
    {
        return $this->shows()->words;
    }

    /** On what it is seen: "Plants", "Water and bed", "Algae", "Animals", "Guests and snails". */
    public function section(): string
    {
        return $this->shows()->on->value;
    }

    /** On what it may be seen: "clump", "group", "zone" of the bed, or null where it is of the whole tank. */
    public function of(): ?string
    {
        return match ($this) {
            self::EggSmell, self::GasFromBed, self::BlackBed => 'zone',
            default => $this->shows()->on->of(),
        };
    }

    /**
     * On what of a plan it may be seen.
     *
     * @return array<string, string> names of plants, animals or parts of the bed, by id; none where it is of the whole tank
     */
    public function places(Plan $plan): array
    {
        return match ($this->of()) {
            'clump' => array_map(static fn ($c): string => $c->kind->common, array_column($plan->clumps, null, 'id')),
            'group' => array_map(static fn ($g): string => $g->kind->common, array_column($plan->groups, null, 'id')),
            'zone' => array_map(static fn ($z): string => $z->purpose->words(), array_column($plan->bed->zones, null, 'id')),
            default => [],
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
        return On::Algae === $this->shows()->on || self::GreenWater === $this;
    }

    /** Whether anybody would ask why it is there. */
    public function asksWhy(): bool
    {
        return !$this->shows()->isGood;
    }

    public function shows(): Shows
    {
        return CaseAttribute::of($this, Shows::class) ?? throw new \LogicException("$this->value is not described");
    }
}
