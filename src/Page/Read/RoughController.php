<?php

declare(strict_types=1);

namespace Olvek\Page\Read;

use Olvek\Core\Basis\Unit\Dimension;
use Olvek\Core\Basis\Unit\QuantityReader;
use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Judgement\Sign\Knowledge;
use Olvek\Core\Judgement\Sign\RoughPlants;
use Olvek\Core\Judgement\Sign\RoughStock;
use Olvek\Core\Judgement\Sign\RoughTank;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Read\ReadingQuestion;
use Olvek\Service\Work\SlowPool;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A tank that has no plan here is read by five things about it. */
final class RoughController extends AbstractController
{
    #[SlowPool]
    #[Route('/read', name: 'read_any', methods: ['GET'])]
    public function show(
        Request $request,
        #[CurrentUser] Keeper $keeper,
        ReadPage $page,
        Knowledge $knowledge,
        Catalogue $catalogue,
    ): Response {
        $question = ReadingQuestion::of($request->query, null, $knowledge);
        [$tank, $errors] = self::tank($request, $keeper);
        $errors += $question->errors;
        $case = null === $tank || [] === $question->seen
            ? null
            : $tank->case($catalogue, $question->seen, $question->answers, $keeper->kit(), $keeper->units());
        $five = array_filter(
            array_intersect_key($request->query->all(), array_flip(['litres', 'weeks', 'hours', 'sun', 'plants', 'animals'])),
            is_string(...),
        );

        return $this->render('read/rough.html.twig', [
            'question' => $question,
            'signs' => ReadPage::signs(),
            'errors' => $errors,
            'five' => $five,
            'plants' => RoughPlants::cases(),
            'animals' => RoughStock::cases(),
            'unit' => $keeper->units()->unitFor(Dimension::Volume)->symbol(),
            'answer' => null === $case ? null : $page->read($case, $question, $request->query->getString('try')),
            'route' => 'read_any',
            'base' => $five,
        ], new Response(status: [] === $errors ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    /** @return array{RoughTank|null, array<string, string>} the tank, and why it is none, by field; neither where nothing was told yet */
    private static function tank(Request $request, Keeper $keeper): array
    {
        $sent = $request->query;
        if (!$sent->has('litres')) {
            return [null, []];
        }
        $errors = [];
        $litres = 0.0;
        $volume = $keeper->units()->unitFor(Dimension::Volume);
        try {
            $litres = QuantityReader::read($sent->getString('litres'), $volume);
        } catch (UnreadableQuantity $unreadable) {
            $errors['litres'] = $unreadable->getMessage();
        }
        [$least, $most] = RoughTank::LITRES;
        if (!isset($errors['litres']) && ($litres < $least || $litres > $most)) {
            $errors['litres'] = \sprintf(
                'From %s to %s.',
                $keeper->units()->show(Dimension::Volume, $least, 0),
                $keeper->units()->show(Dimension::Volume, $most, 0),
            );
        }
        $weeks = filter_var($sent->getString('weeks'), \FILTER_VALIDATE_INT, [
            'options' => ['min_range' => RoughTank::WEEKS[0], 'max_range' => RoughTank::WEEKS[1]],
        ]);
        if (false === $weeks) {
            $errors['weeks'] = \sprintf('A whole number of weeks from %d to %d.', ...RoughTank::WEEKS);
        }
        $hours = filter_var(str_replace(',', '.', $sent->getString('hours')), \FILTER_VALIDATE_FLOAT);
        if (false === $hours || $hours < RoughTank::HOURS[0] || $hours > RoughTank::HOURS[1]) {
            $errors['hours'] = 'Hours a day from 0 to 24.';
        }
        $plants = RoughPlants::tryFrom($sent->getString('plants'));
        $animals = RoughStock::tryFrom($sent->getString('animals'));
        if (null === $plants) {
            $errors['plants'] = 'Choose how it is planted.';
        }
        if (null === $animals) {
            $errors['animals'] = 'Choose who lives in it.';
        }
        if ([] !== $errors || false === $weeks || false === $hours || null === $plants || null === $animals) {
            return [null, $errors];
        }

        return [new RoughTank($litres, $weeks, $hours, 'yes' === $sent->getString('sun'), $plants, $animals), []];
    }
}
