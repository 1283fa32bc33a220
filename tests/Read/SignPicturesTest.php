<?php

declare(strict_types=1);

namespace Olvek\Tests\Read;

use Olvek\Core\Keeping\Log\Sign;
use Olvek\Tests\Services;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Twig\Environment;

/** Every sign has a picture of its own: one without would be drawn as nothing. */
final class SignPicturesTest extends KernelTestCase
{
    use Services;

    public function testEachIsDrawnAndNoTwoAlike(): void
    {
        $drawn = [];
        foreach (Sign::cases() as $sign) {
            $svg = $this->service(Environment::class)->render('log/_sign.svg.twig', ['id' => $sign->value]);
            self::assertMatchesRegularExpression('/<(path|circle|ellipse|rect)\b/', $svg, "$sign->value has no picture");
            self::assertNotContains($svg, $drawn, \sprintf('%s is drawn like %s', $sign->value, array_search($svg, $drawn, true)));
            $drawn[$sign->value] = $svg;
        }
    }
}
