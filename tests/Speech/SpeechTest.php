<?php

declare(strict_types=1);

namespace Olvek\Tests\Speech;

use Olvek\Core\Basis\Message\Amount;
use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Speech\Speech;
use Olvek\Tests\BenchTestCase;

final class SpeechTest extends BenchTestCase
{
    public function testAMessageIsSaidInTheKeepersUnits(): void
    {
        $speech = $this->service(Speech::class);
        $message = new Message('mistake.support', ['mass' => Amount::mass(120.0), 'limit' => Amount::mass(80.0)]);
        self::assertStringStartsWith(
            "Filled, the tank weighs 120\u{A0}kg, but the stand carries only 80\u{A0}kg.",
            $speech->say($message, UnitSystem::Metric),
        );
        self::assertStringContainsString("265\u{A0}lb", $speech->say($message, UnitSystem::Us));
    }

    public function testValuesThatMustBeToldApartAre(): void
    {
        $said = $this->service(Speech::class)->say(
            new Message('mistake.stand-length', ['tank' => Amount::length(0.6001, 0.6), 'stand' => Amount::length(0.6, 0.6001)]),
            UnitSystem::Metric,
        );
        self::assertStringContainsString("60.01\u{A0}cm", $said);
        self::assertStringContainsString("60\u{A0}cm", $said);
    }

    public function testARuleOfThumbIsRounded(): void
    {
        $message = new Message('step.level.caution', ['mass' => Amount::roughMass(200.0)]);
        self::assertStringContainsString("about 440\u{A0}lb", $this->service(Speech::class)->say($message, UnitSystem::Us));
    }

    /** Lines of the shopping list: small masses keep their decimals, pieces have their plural, sources are named. */
    public function testWhatIsBought(): void
    {
        $speech = $this->service(Speech::class);
        $say = static fn (Message $message): string => $speech->say($message, UnitSystem::Metric);
        $plant = static fn (int $pieces, int $day): Message => new Message('buy.plant', [
            'pieces' => $pieces, 'piece' => 'stem', 'plant' => 'Java moss', 'grams' => 29, 'day' => $day, 'from' => 'shop',
        ]);
        self::assertSame("Root wood, 0.5\u{A0}kg (on hand)", $say(
            new Message('buy.piece', ['kind' => 'Root wood', 'mass' => Amount::mass(0.5, 1), 'from' => 'hand']),
        ));
        self::assertSame('1 stem of Java moss, about 29 g wet', $say($plant(1, 0)));
        self::assertSame('24 stems of Java moss, about 29 g wet, for day 7', $say($plant(24, 7)));
        self::assertSame('lamp of 20 W, about 2,000 lm', $say(
            new Message('buy.lamp', ['lamp' => new Message('buy.any-lamp'), 'watts' => 20.0, 'lumens' => 2000.0]),
        ));
        self::assertSame('0.36 g potassium nitrate', $say(new Message('buy.salt.nitrate', ['grams' => 0.3609])));
    }

    public function testAMessageIsSaidOnce(): void
    {
        $hours = static fn (int $hours): Message => new Message('rehearsal.hours', ['hours' => $hours]);
        self::assertEquals([$hours(1), $hours(2)], Message::distinct([$hours(1), $hours(2), $hours(1)]));
        // Texts that PHP's loose comparison takes for equal are two.
        self::assertCount(2, Message::distinct([Message::text('1'), Message::text('01')]));
    }

    public function testMessagesWithinMessagesAndListsOfThem(): void
    {
        $speech = $this->service(Speech::class);
        $one = new Message('mistake.outside', ['count' => 2, 'things' => ['Granite', Message::text('Lava')]]);
        self::assertSame('These stand outside the glass: Granite and Lava. Move them in.', $speech->say($one, UnitSystem::Metric));
        $data = $speech->data($one, UnitSystem::Metric);
        self::assertSame('mistake.outside', $data['id']);
        self::assertSame(2, $data['values']['count']);
    }

    /** Panes are told in millimetres, or hundredths of an inch. */
    public function testAPaneIsAsThickAsGlaziersSayIt(): void
    {
        $thin = new Message('harm.pane', ['glass' => Amount::thickness(0.006), 'edge' => 'yes']);
        self::assertSame(
            "6\u{A0}mm glass is on the thin side for this much water.",
            $this->service(Speech::class)->say($thin, UnitSystem::Metric),
        );
        $weak = new Message('harm.pane', ['glass' => Amount::thickness(0.006), 'edge' => 'no']);
        self::assertSame(
            "0.24\u{A0}in glass may break under this much water.",
            $this->service(Speech::class)->say($weak, UnitSystem::Us),
        );
    }

    /** A list that goes on has no "and" before its last name. */
    public function testAListThatGoesOnHasOneAnd(): void
    {
        $holds = fn (int $more): string => $this->service(Speech::class)->say(
            new Message('verdict.holds', ['kinds' => ['Guppy', 'Otocinclus'], 'more' => $more]),
            UnitSystem::Metric,
        );
        self::assertStringContainsString('guppy and otocinclus can live here', $holds(0));
        self::assertStringContainsString('guppy, otocinclus and 2 more can live here', $holds(2));
    }
}
