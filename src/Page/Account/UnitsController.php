<?php

declare(strict_types=1);

namespace Olvek\Page\Account;

use Doctrine\ORM\EntityManagerInterface;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Site\FormToken;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;

/** The units switch that stands in every page's head. */
#[IsCsrfTokenValid(FormToken::ID, methods: 'POST')]
final class UnitsController extends AbstractController
{
    #[Route('/units', name: 'account_units', methods: ['POST'])]
    public function switch(Request $request, #[CurrentUser] Keeper $keeper, EntityManagerInterface $entities): Response
    {
        $units = UnitSystem::tryFrom($request->request->getString('units'));
        if (null !== $units) {
            $keeper->prefer($units);
            $entities->flush();
        }

        return $this->redirect(SamePage::orHome($request->request->getString('back')), Response::HTTP_SEE_OTHER);
    }
}
