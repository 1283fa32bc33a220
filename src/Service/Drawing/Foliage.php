<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Plant\LeafColour;

/** What is drawn of one plant, gathered by paint: a path for each, however many leaves there are. */
final class Foliage
{
    private string $stalks = '';
    private string $roots = '';
    /** @var array<string, string> */
    private array $hairs = [];
    /** @var array<string, string> */
    private array $leaves = [];

    public function stalk(string $path): void
    {
        $this->stalks .= $path;
    }

    public function roots(string $path): void
    {
        $this->roots .= $path;
    }

    /** Leaves or parts of leaves that are as thin as a line. */
    public function hair(LeafColour $colour, string $path): void
    {
        $this->hairs[$colour->value] = ($this->hairs[$colour->value] ?? '').$path;
    }

    public function leaf(LeafColour $colour, string $path): void
    {
        $this->leaves[$colour->value] = ($this->leaves[$colour->value] ?? '').$path;
    }

    /** @return list<Shape> from the back to the front */
    public function shapes(): array
    {
        $shapes = [];
        if ('' !== $this->roots) {
            $shapes[] = new Shape($this->roots, 'roots');
        }
        if ('' !== $this->stalks) {
            $shapes[] = new Shape($this->stalks, 'stalk');
        }
        foreach ($this->leaves as $colour => $path) {
            $shapes[] = new Shape($path, "leaf leaf-$colour");
        }
        foreach ($this->hairs as $colour => $path) {
            $shapes[] = new Shape($path, "hair hair-$colour");
        }

        return $shapes;
    }
}
