<?php

declare(strict_types=1);

namespace Olvek\Service\Drawing;

use Olvek\Core\Nature\Animal\AnimalKind;
use Olvek\Core\Nature\Bed\Material;
use Olvek\Core\Nature\Bed\MaterialRole;
use Olvek\Core\Nature\Hardscape\HardscapeKind;
use Olvek\Core\Nature\Hardscape\Piece;
use Olvek\Core\Nature\Plant\PlantKind;
use Olvek\Core\Nature\Plant\PlantRole;

/** A small picture of a thing of the catalogue, from the same figures that tanks are drawn with. */
final class CataloguePicture
{
    private const WIDTH = 64.0;
    private const HEIGHT = 56.0;
    private const GROUND = 52.0;
    /** Height in the picture of a plant of half a metre, and of the smallest. */
    private const TALLEST = 44.0;
    private const LOWEST = 9.0;
    /** Height of a house plant, and how many times larger leaves are than they would be. */
    private const IN_AIR = 30.0;
    private const ENLARGED = 2.4;

    public static function plant(PlantKind $kind): View
    {
        $view = self::view('plant', $kind->common);
        $height = max(self::LOWEST, min(self::TALLEST, self::TALLEST * sqrt($kind->height->value / 0.5)));
        [$foot, $ceiling] = match (true) {
            PlantRole::Floater === $kind->role, PlantRole::FloatingStem === $kind->role => [18.0, 18.0],
            PlantRole::HousePlant === $kind->role => [42.0, 42.0],
            default => [self::GROUND, 4.0],
        };
        if (PlantRole::HousePlant === $kind->role) {
            $height = min(self::IN_AIR, $height);
        }
        // Leaves are drawn larger against the height than they are, so that one sees their shape.
        $cm = (self::ENLARGED * $height) / (100 * $kind->height->value);
        // A carpet is never one plant.
        foreach (PlantRole::Carpet === $kind->role ? [-16.0, 0.0, 16.0] : [0.0] as $n => $aside) {
            $at = self::WIDTH / 2 + $aside;
            array_push($view->front, ...PlantFigure::draw($kind, "$kind->id.$n", $at, $foot, $height, $ceiling, $cm));
        }
        if ($foot < self::GROUND) {
            $view->back[] = new Shape(Pen::line(4, $ceiling, self::WIDTH - 4, $ceiling), 'pic-line');
        }

        return $view;
    }

    public static function animal(AnimalKind $kind): View
    {
        $view = self::view('animal', $kind->common);
        // The small are drawn larger than they are, so that one sees what they are.
        $length = 18.0 + min(36.0, 500 * AnimalFigure::length($kind));
        $figure = AnimalFigure::of($kind);
        $figure->add(self::WIDTH / 2, self::HEIGHT / 2, $length, 1);
        $view->front = $figure->shapes();

        return $view;
    }

    public static function piece(HardscapeKind $kind): View
    {
        $view = self::view('piece', $kind->name);
        $piece = new Piece('p', $kind, 1.0, 0.5, 0.5);
        $view->front[] = new Shape(
            HardscapeFigure::draw(new Pen($kind->id), self::WIDTH / 2, self::GROUND, $piece, 46.0, 36.0),
            $kind->wood ? 'wood' : 'stone',
        );

        return $view;
    }

    public static function lamp(): View
    {
        $view = self::view('lamp', 'lamp');
        $view->back[] = new Shape(Pen::polygon([[14.0, 14.0], [50.0, 14.0], [62.0, 52.0], [2.0, 52.0]]), 'light-air');
        $view->front[] = new Shape(Pen::rectangle(10, 8, 44, 6), 'lamp');

        return $view;
    }

    public static function material(Material $material): View
    {
        $view = self::view('material', $material->name);
        $view->front[] = new Shape('M2 50V28Q16 18 32 22T62 18V50z', MaterialRole::Cap === $material->role ? 'cap' : 'soil');

        return $view;
    }

    private static function view(string $name, string $title): View
    {
        return new View($name, $title, self::WIDTH, self::HEIGHT);
    }
}
