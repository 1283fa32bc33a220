<?php

declare(strict_types=1);

namespace Olvek\Service\Tank;

use Olvek\Service\Account\Keeper;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Uid\Uuid;

/**
 * Gives a controller the tank named in its address, if it is the keeper's own. The only way a controller gets a tank,
 * so no route can forget to ask whose it is. Another's tank is "not found": its existence is nobody's business.
 */
#[AutoconfigureTag('controller.argument_value_resolver', ['priority' => 150])]
final readonly class OwnedTank implements ValueResolverInterface
{
    public function __construct(private TankRepository $tanks, private Security $security)
    {
    }

    /** @return iterable<Tank> */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        if (Tank::class !== $argument->getType()) {
            return [];
        }
        $id = $request->attributes->get($argument->getName());
        $keeper = $this->security->getUser();
        $tank =
            \is_string($id) && Uuid::isValid($id) && $keeper instanceof Keeper ? $this->tanks->owned(Uuid::fromString($id), $keeper) : null;

        return [$tank ?? throw new NotFoundHttpException('There is no such tank on your shelf.')];
    }
}
