<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin\Harm;

use Olvek\Core\Basis\Unit\Provenance;

/**
 * Everything that can go wrong with a tank, and how much of it counts: the one table by which tanks are judged. In the order in which
 * harms are told where they weigh the same.
 */
enum HarmId: string
{
    #[Weight('1 where there are no plants', 1.0, 1.0, 'nothing would take up the waste', Provenance::CommonPractice)]
    case Empty = 'empty';

    #[Weight(
        'stress in a pane against 7.25 MPa, or weight against what bears it',
        1.0,
        1.4,
        '7.25 MPa is what glass bears for years (EN 16612), 10 MPa is within reach of scratches; a support that is told to bear less '
        .'counts as 1.4',
        Provenance::Judgement,
    )]
    case Breakage = 'breakage';

    #[Weight('1 where they fight, hunt or bite each other', 0.5, 1.0, 'rules of company hold in any tank', Provenance::CommonPractice)]
    case Company = 'company';

    #[Weight(
        'share of a kind that dies within the year',
        0.1,
        0.25,
        'one in ten is the odd death of age and journey; a quarter is not',
        Provenance::Judgement,
    )]
    case Losses = 'losses';

    #[Weight(
        'days with too much ammonia or nitrite or too little oxygen for those in it; a day of three times too much counts as four, a short '
        .'night as half',
        1.0,
        4.0,
        'US EPA (2013) means its criterion over four days; a dawn passes',
        Provenance::Judgement,
    )]
    case Water = 'water';

    #[Weight(
        'way from the water in which a kind thrives (0) to the end of that in which it is kept for years (1), in all but a week of '
        .'its days',
        0.85,
        1.0,
        'outside of the first range is worth knowing, outside of the second is harm',
        Provenance::Judgement,
    )]
    case Waters = 'waters';

    #[Weight(
        'the same way, where topping up makes the water harder within the year',
        1.0,
        \INF,
        'a change of water now and then averts it: care, not a fault of the tank',
        Provenance::CommonPractice,
    )]
    case Minerals = 'minerals';

    #[Weight(
        'the same for warmth',
        0.85,
        1.0,
        'a week at the edge is borne',
        Provenance::Judgement,
    )]
    case Temperature = 'temperature';

    #[Weight(
        'litres that kinds need by the rule of thumb against litres of the vessel',
        1.25,
        1.67,
        'rules of thumb are generous; at six tenths of them fish do not grow up and do not live their years',
        Provenance::CommonPractice,
    )]
    case Room = 'room';

    #[Weight(
        'share of the planted mass that dwindles away; half of it, where others take its place',
        0.2,
        1 / 3,
        'one clump of many is a lesson, a third of the planting is another tank',
        Provenance::Judgement,
    )]
    case Plants = 'plants';

    #[Weight(
        'days with film that covers leaves or water in which the back wall cannot be seen',
        10.0,
        28.0,
        'keepers sit out a week or two; after four, plants under it die',
        Provenance::CommonPractice,
    )]
    case Look = 'look';

    #[Weight(
        'highest index of sulphide in the bed',
        0.6,
        1.0,
        'from 1 on roots blacken and it reaches the water; where the likeliest tank has 0.6, one of ten has 1 (bench/sureness.php)',
        Provenance::Judgement,
    )]
    case Bed = 'bed';

    #[Weight(
        'mg/L of nitrate as NO3 at the end of half a year or a year',
        50.0,
        250.0,
        'from 50 on water must be changed; what harms fish for good lies some times higher (Camargo and others 2005, from memory)',
        Provenance::Memory,
    )]
    case Nitrate = 'nitrate';

    public function weight(): Weight
    {
        /** @var array<string, Weight> $weights */
        static $weights = [];

        return $weights[$this->value] ??= (new \ReflectionEnumBackedCase(
            $this,
            $this->name,
        ))->getAttributes(Weight::class)[0]->newInstance();
    }
}
