<?php

declare(strict_types=1);

namespace Olvek\Page\Bench;

use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Core\Planning\Plan\Plan;
use Symfony\Component\HttpFoundation\Request;

/** What of a tank the keeper looks at; never part of the plan. */
final readonly class ViewSettings
{
    /**
     * @param int|null $day day whose ledger is shown; the hardest where null
     * @param string   $bag size of a bag to buy, as typed
     * @param 'year'|'ledger' $below what is shown below the tank
     * @param string   $stage that is open, where a script does not keep it so
     * @param 'front'|'side'|'floor'|'all' $turn from where the tank is seen; from everywhere where what is out of sight is fetched too
     */
    private function __construct(
        public ?int $day,
        public string $bag,
        public string $below,
        public string $stage = '',
        public string $turn = 'front',
    ) {
    }

    /** What is looked at where nobody has chosen. */
    public static function usual(UnitSystem $units): self
    {
        return new self(null, self::bag($units), 'year');
    }

    private static function bag(UnitSystem $units): string
    {
        return UnitSystem::Us === $units ? '5 gal' : '20 L';
    }

    public static function asked(Request $request, UnitSystem $units): self
    {
        $asked = $request->isMethod('POST') ? $request->request : $request->query;
        $day = filter_var($asked->getString('day'), \FILTER_VALIDATE_INT, ['options' => ['min_range' => 0, 'max_range' => Plan::LAST_DAY]]);
        $bag = mb_substr($asked->getString('bag'), 0, 40);

        return new self(
            false === $day ? null : $day,
            '' === $bag ? self::bag($units) : $bag,
            'ledger' === $asked->getString('below') ? 'ledger' : 'year',
            1 === preg_match('/^[a-z]{1,12}$/D', $asked->getString('stage')) ? $asked->getString('stage') : '',
            match ($asked->getString('turn')) {
                'side' => 'side',
                'floor' => 'floor',
                'all' => 'all',
                default => 'front',
            },
        );
    }

    /** @return list<string> parts that are drawings of the tank and in sight */
    public function drawn(): array
    {
        return match ($this->turn) {
            'front' => ['front', 'hours'],
            'all' => ['front', 'side', 'floor', 'hours'],
            default => [$this->turn],
        };
    }

    /** @return array{day?: int, bag: string, below: string, stage?: string, turn?: string} for addresses */
    public function query(): array
    {
        return [
            ...null === $this->day ? [] : ['day' => $this->day],
            'bag' => $this->bag,
            'below' => $this->below,
            ...'' === $this->stage ? [] : ['stage' => $this->stage],
            ...'front' === $this->turn ? [] : ['turn' => $this->turn],
        ];
    }
}
