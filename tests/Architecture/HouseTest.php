<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\BuildStep;
use PHPat\Test\PHPat;

/** Which part of the house may know which; run by PHPStan. */
final class HouseTest
{
    #[TestRule]
    public function theCoreKnowsOnlyItself(): BuildStep
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Olvek\Core'))
            ->excluding(Selector::inNamespace('Olvek\Core\Tests'))
            ->canOnly()->dependOn()
            ->classes(Selector::inNamespace('Olvek\Core'), Selector::isStandardClass())
            ->because('the computation must run and be tested without framework, storage or interface');
    }

    #[TestRule]
    public function drawingsOnlyShow(): BuildStep
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Olvek\Bench\Drawing'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('Doctrine'), Selector::inNamespace('Symfony'), Selector::inNamespace('Olvek\Shelf'), Selector::inNamespace('Olvek\Account'))
            ->because('a drawing is made of a plan and a judgement alone');
    }
}
