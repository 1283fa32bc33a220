<?php

declare(strict_types=1);

namespace Olvek\Core\Plan;

use Olvek\Core\Light\Aspect;

/** A part of a plan's document that is chosen from a few words: what it is called, and what each stored value is called. */
final readonly class Choice
{
    /** @param non-empty-array<string, string> $options words by the text that stands for a value: the value itself, or "yes" and "no" */
    private function __construct(public string $label, public array $options, private bool $truth = false)
    {
    }

    /** The choice at a path, or null where the path names none. */
    public static function at(string $path): ?self
    {
        return match (preg_replace('/^(plants|hardscape)\.[a-z0-9-]{1,31}\./', '$1.*.', $path)) {
            'site.aspect' => self::of('daylight from', Aspect::class),
            'site.lid' => self::truth('lid', 'a lid', 'open'),
            'site.movement' => self::of('water is', Movement::class),
            'plants.*.grown' => self::of('grown before', Grown::class),
            'site.sealed' => self::truth('closed for good', 'sealed', 'no'),
            'bed.bagged' => self::truth('soil in bags', 'tied into mesh bags', 'loose'),
            'hardscape.*.fixed' => self::truth('held down', 'glued, tied or weighed', 'loose'),
            'hardscape.*.soaked' => self::truth('soak test', 'stood the test', 'still to do'),
            'light.held' => self::truth('when algae show', 'back a step, or wait', 'go on all the same'),
            'preparation.rinsed' => self::truth('sand and gravel before laying', 'rinsed clear', 'as bought'),
            'preparation.sieved' => self::truth('soil before laying', 'sieved, chips picked out', 'as bought'),
            'preparation.treatment' => self::of('tap water', Treatment::class),
            'preparation.filling' => self::of('filled', Filling::class),
            'start.inoculum' => self::of('first bacteria from', Inoculum::class),
            'start.way' => self::of('way of starting', StartWay::class),
            'plants.*.planting' => self::of('set', Planting::class),
            default => null,
        };
    }

    /** The text that stands for a stored value. */
    public function show(mixed $stored): string
    {
        return match (true) {
            \is_bool($stored) => $stored ? 'yes' : 'no',
            \is_string($stored) => $stored,
            default => '',
        };
    }

    /** @throws RefusedEdit when the text is none of the options */
    public function read(string $typed): string|bool
    {
        if (!isset($this->options[$typed])) {
            throw new RefusedEdit($this->truth ? 'Choose yes or no.' : "Choose from the list: $this->label.");
        }

        return $this->truth ? 'yes' === $typed : $typed;
    }

    /** @param class-string<Movement|Grown|Aspect|Treatment|Filling|Inoculum|StartWay|Planting> $enum */
    private static function of(string $label, string $enum): self
    {
        $options = [];
        foreach ($enum::cases() as $case) {
            $options[$case->value] = $case->words();
        }

        return new self($label, $options);
    }

    private static function truth(string $label, string $yes, string $no): self
    {
        return new self($label, ['no' => $no, 'yes' => $yes], true);
    }
}
