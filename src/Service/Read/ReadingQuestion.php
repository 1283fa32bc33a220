<?php

declare(strict_types=1);

namespace Olvek\Service\Read;

use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\Seen;
use Olvek\Core\Keeping\Log\Sign;
use Olvek\Core\Planning\Plan\Plan;
use Symfony\Component\HttpFoundation\InputBag;

/** What is asked about a tank: what is seen, on whom, since when, and what the keeper knows beside. As a page's address carries it. */
final readonly class ReadingQuestion
{
    /** Signs that are weighed at once. J: of more nobody asks about one thing. */
    public const MOST = 6;

    /**
     * @param list<Seen>            $seen
     * @param array<string, bool>   $answers   facts by id
     * @param array<string, string> $errors why something of it was not understood, by field
     */
    private function __construct(public array $seen, public array $answers, public array $errors)
    {
    }

    /**
     * @param InputBag<string> $sent "sign" (a list of ids), "of" (clump or group by sign), "sudden", "spreading" and "fact"
     *                                              (yes or no, by fact)
     * @param Plan|null                       $plan whose clumps and groups may be named; null where there is none
     */
    public static function of(InputBag $sent, ?Plan $plan, Knowledge $knowledge): self
    {
        $errors = [];
        $seen = [];
        $ofs = $sent->has('of') && \is_array($sent->all()['of']) ? $sent->all('of') : [];
        foreach (self::list($sent, 'sign') as $id) {
            $sign = Sign::tryFrom($id);
            if (null === $sign || !$sign->asksWhy()) {
                $errors['sign'] = 'One of the signs is not known. Choose what you see from the pictures.';
                continue;
            }
            $of = \is_string($ofs[$id] ?? null) && '' !== $ofs[$id] ? $ofs[$id] : null;
            $places = null === $plan ? [] : $sign->places($plan);
            if (null !== $of && !isset($places[$of])) {
                $errors["of-$id"] = 'The plan has none of this name any more: choose another, or the whole tank.';
                $of = null;
            }
            $seen[$id] = new Seen($sign, $of);
        }
        if (\count($seen) > self::MOST) {
            $errors['sign'] = \sprintf('Choose up to %d signs; ask about others by themselves.', self::MOST);
            $seen = \array_slice($seen, 0, self::MOST);
        }

        return new self(array_values($seen), self::answers($sent, $knowledge), $errors);
    }

    /**
     * @param InputBag<string> $sent
     *
     * @return array<string, bool>
     */
    private static function answers(InputBag $sent, Knowledge $knowledge): array
    {
        $answers = [];
        $facts = $sent->has('fact') && \is_array($sent->all()['fact']) ? $sent->all('fact') : [];
        foreach ($facts as $id => $so) {
            if (isset($knowledge->facts[$id]) && \in_array($so, ['yes', 'no'], true)) {
                $answers[(string) $id] = 'yes' === $so;
            }
        }

        return $answers;
    }

    /**
     * @param InputBag<string> $sent
     *
     * @return list<string>
     */
    private static function list(InputBag $sent, string $name): array
    {
        $all = $sent->all()[$name] ?? [];

        return array_values(array_filter(\is_array($all) ? $all : [$all], is_string(...)));
    }

    /** @return array<string, mixed> as an address carries it, with something more known */
    public function address(?string $fact = null, ?bool $so = null): array
    {
        $answers = null === $fact || null === $so ? $this->answers : [...$this->answers, $fact => $so];
        $ofs = [];
        foreach ($this->seen as $seen) {
            if (null !== $seen->of) {
                $ofs[$seen->sign->value] = $seen->of;
            }
        }

        return array_filter([
            'sign' => array_map(static fn (Seen $s): string => $s->sign->value, $this->seen),
            'of' => $ofs,
            'fact' => array_map(static fn (bool $so): string => $so ? 'yes' : 'no', $answers),
        ]);
    }
}
