<?php

declare(strict_types=1);

namespace Olvek\Core\Planning\Plan;

use Olvek\Core\Basis\Field\Number;
use Olvek\Core\Basis\Field\OneOf;
use Olvek\Core\Basis\Field\YesNo;
use Olvek\Core\Basis\Unit\Dimension;

/** What the vessel stands on and what is around it: whether it fits, and how it looks. */
final readonly class Stand
{
    /**
     * @param float $length     m along the front that there are to stand on; 0 where nobody measured
     * @param float $width      m from front to back, likewise
     * @param float $behind     m between the vessel and the wall
     * @param bool  $shadeBar   a strip at the rim that keeps the lamp out of one's eyes
     * @param bool  $secondHand the vessel was used before
     * @param bool  $braced     a frame or braces hold the upper edges of its panes
     */
    public function __construct(
        #[Number('stand, along the front (0: not measured)', Dimension::Length, 0.0, 10.0, 'm to stand on; 0 where nobody measured')]
        public float $length = 0.0,
        #[Number('stand, front to back (0: not measured)', Dimension::Length, 0.0, 10.0, 'm to stand on; 0 where nobody measured')]
        public float $width = 0.0,
        #[Number('gap behind the vessel', Dimension::Length, 0.0, 5.0, 'm between the vessel and the wall')]
        public float $behind = 0.05,
        #[OneOf('background', 'what is seen behind the tank')] public Background $background = Background::None,
        #[YesNo('shade bar', 'keeps the lamp out of one’s eyes', 'none', 'a strip at the rim against glare')] public bool $shadeBar = false,
        #[YesNo('vessel', 'second-hand', 'new', 'the vessel was used before: it is cleaned and tried for leaks')]
        public bool $secondHand = false,
        #[YesNo('rim', 'framed or braced', 'rimless', 'a frame or braces hold the upper edges of its panes')] public bool $braced = false,
    ) {
    }
}
