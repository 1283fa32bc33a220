<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

/** A drawing to scale: what lies behind the plants, the plants (clipped to the vessel), what lies before them, words and handles. */
class View
{
    /** @var list<Shape> */
    public array $back = [];
    /** @var list<Shape> */
    public array $plants = [];
    /** @var list<Shape> */
    public array $front = [];
    /** @var list<Label> */
    public array $labels = [];
    /** @var list<Handle> */
    public array $handles = [];
    /** @var list<TankMark> */
    public array $marks = [];
    /** @var list<string> what the drawing shows, for those who cannot see it */
    public array $words = [];
    /**
     * @var array<string, float> where the floor lies in the drawing: left and right, and where it shows them, back and front; so that what
     * is let go over it comes to stand there
     */
    public array $floor = [];
    /** Path data to which plants are clipped. */
    public string $clip = '';

    /** @param string $title of what it is a drawing */
    public function __construct(
        public readonly string $name,
        public readonly string $title,
        public readonly float $width,
        public readonly float $height,
    ) {
    }

    public function viewBox(): string
    {
        return \sprintf('0 0 %s %s', Pen::n($this->width), Pen::n($this->height));
    }
}
