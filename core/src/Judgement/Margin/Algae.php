<?php

declare(strict_types=1);

namespace Olvek\Core\Judgement\Margin;

use Olvek\Core\Basis\Unit\Decimal;
use Olvek\Core\Basis\Unit\Provenance;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Simulation\Run\Alga;

/** Algae: film on glass and leaves, and green water; diatoms of the first weeks go by themselves and are only named. */
#[Judges(
    'Algae',
    Subject::Plants,
    remedies: [
        Remedy::ShorterLight, Remedy::WeakerLamp, Remedy::FastStems, Remedy::Floaters, Remedy::Grazers,
        Remedy::LessFood,
    ],
)]
final class Algae implements Criterion
{
    /** g dry of film per m² that one sees, and that covers leaves. J. */
    private const FILM_WATCH = Alga::SHOWS;
    public const FILM_ACT = 4.5;
    /** mg dry/L of green water that hides the back wall a little, and whole. J. */
    public const GREEN_ACT = 30.0;

    public static function margin(Outlook $outlook): Margin
    {
        $trace = $outlook->trace;
        [$film, $filmDay] = $trace->highest('algae');
        [$green, $greenDay] = $trace->highest('greenWater');
        [$brown, $brownDay] = $trace->highest('diatoms');
        $asFilm = ($green / self::GREEN_ACT) * self::FILM_ACT;
        $worse = $asFilm > $film;
        $measure = max($film, $asFilm);
        $day = $worse ? $greenDay : $filmDay;
        $what = $worse ? 'green water' : 'algae on glass and leaves';

        return Margin::atMost(
            MarginId::Algae,
            $measure,
            'g/m²',
            self::FILM_WATCH,
            self::FILM_ACT,
            $day,
            match (true) {
                $measure > self::FILM_ACT => Words::capital($what).' take over by day '.$day.'.',
                $measure > self::FILM_WATCH => Words::capital($what).' will show by day '.$day.'.',
                $brown > self::FILM_WATCH / 2 => "Algae stay a film; brown dust is likely around day $brownDay and goes by itself.",
                default => 'Algae stay a film that grazers keep short.',
            },
            [
                new Term('film, at most', Decimal::significant($film, 2)." g dry/m², day $filmDay", Provenance::Memory),
                new Term('green water, at most', Decimal::significant($green, 2)." mg dry/L, day $greenDay", Provenance::Memory),
                new Term('brown dust, at most', Decimal::significant($brown, 2)." g dry/m², day $brownDay", Provenance::Memory),
                new Term('nitrate left for them', Decimal::significant($trace->columns['nitrate'][$day], 2).' mg N/L'),
                new Term('light on the water', Decimal::significant($trace->columns['light'][$day], 2).' mol/m² a day'),
                new Term(
                    'shows from, takes over from',
                    \sprintf('%s and %s g dry/m²', Decimal::trimmed(self::FILM_WATCH, 1), Decimal::trimmed(self::FILM_ACT, 1)),
                    Provenance::Judgement,
                ),
            ],
        );
    }
}
