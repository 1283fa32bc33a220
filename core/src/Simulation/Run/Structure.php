<?php

declare(strict_types=1);

namespace Olvek\Core\Simulation\Run;

/**
 * Questions of form on which models of such waters differ, each with the answer that the run takes and another that would be as defensible.
 * The bands take the other in some of their tanks, so that they do not hide behind one set of equations.
 */
final readonly class Structure
{
    /** Share of a band's tanks in which each question is answered the other way. J. */
    public const OTHERWISE = 0.3;

    /**
     * @param bool $product   light and carbon dioxide: each holds growth back for itself, so that dim leaves want as much carbon
     *     dioxide as bright ones (M: most pond models)
     * @param bool $earlyRoom room: growth slackens in proportion to how full a place is (M: logistic growth), not only near the densest
     * @param bool $twoGuilds nitrifiers: none goes from ammonia to nitrate by itself (M: the texts before Daims and others 2015)
     * @param bool $plainGas  gas: carbon dioxide passes the surface without help from its chemistry
     * @param bool $allReady  soil: microbes free as much of a lean soil's nitrogen as of a rich one's (M: Stanford & Smith 1972 without
     *     stoichiometry)
     */
    public function __construct(
        public bool $product = false,
        public bool $earlyRoom = false,
        public bool $twoGuilds = false,
        public bool $plainGas = false,
        public bool $allReady = false,
    ) {
    }

    /**
     * What each question is, in words.
     *
     * @return array{product: string, earlyRoom: string, twoGuilds: string, plainGas: string, allReady: string}
     */
    public static function questions(): array
    {
        return [
            'product' => 'whether dim leaves want as much carbon dioxide as bright ones',
            'earlyRoom' => 'how early growth slackens for want of room',
            'twoGuilds' => 'whether some bacteria take ammonia all the way to nitrate',
            'plainGas' => 'whether chemistry helps carbon dioxide through the surface',
            'allReady' => 'whether lean soils free their nitrogen as rich ones do',
        ];
    }
}
