<?php

declare(strict_types=1);

namespace Olvek;

use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    protected function build(ContainerBuilder $container): void
    {
        // Names this build, so that judgements kept in a cache by an older one are not shown as its own.
        $container->setParameter('olvek.build', bin2hex(random_bytes(6)));
    }
}
