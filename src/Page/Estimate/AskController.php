<?php

declare(strict_types=1);

namespace Olvek\Page\Estimate;

use Olvek\Core\Basis\Unit\UnreadableQuantity;
use Olvek\Core\Basis\Unit\Words;
use Olvek\Core\Judgement\Ask\Comparison;
use Olvek\Core\Judgement\Ask\FutureOnly;
use Olvek\Core\Judgement\Ask\Line;
use Olvek\Core\Judgement\Ask\Now;
use Olvek\Core\Judgement\Ask\Proposal;
use Olvek\Core\Judgement\Ask\SitterCard;
use Olvek\Core\Judgement\Ask\Topic;
use Olvek\Core\Keeping\Estimation\Estimate;
use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Planning\Change\Changes;
use Olvek\Core\Planning\Change\Editor;
use Olvek\Core\Planning\Plan\InvalidPlan;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Estimate\Estimates;
use Olvek\Service\Tank\Tank;
use Olvek\Service\Work\SlowPool;
use Olvek\Service\Work\Ticket;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A question put to a tank as it is: the days ahead with it, against going on as now. */
#[SlowPool]
#[Route('/tanks/{tank}/today/ask', name: 'ask', requirements: ['tank' => Requirement::UUID], methods: ['GET'])]
final class AskController extends AbstractController
{
    public function __construct(
        private readonly Estimates $estimates,
        private readonly Editor $editor,
        private readonly Catalogue $catalogue,
    ) {
    }

    public function __invoke(Request $request, Tank $tank, #[CurrentUser] Keeper $keeper): Response
    {
        $life = $this->estimates->life($tank, $keeper) ?? throw $this->createNotFoundException('This tank has not been filled yet.');
        if (!$life->isRun()) {
            throw $this->createNotFoundException('This tank is older than the three years that Olvek runs.');
        }
        $topic = Topic::tryFrom($request->query->getString('topic')) ?? throw $this->createNotFoundException('Nobody can ask this.');
        [$ticket, $share] = $this->estimates->ask($life, $keeper);
        $estimate = $ticket->value;
        $asked = ['tank' => $tank, 'life' => $life, 'topic' => $topic, 'of' => $request->query->getString('of')];
        if (!$estimate instanceof Estimate) {
            return $this->answer([...$asked, 'share' => $share, 'proposal' => null], $ticket);
        }
        $now = Now::of($life->plan, $life->log, $life->day, $estimate);
        $typed = trim($request->query->getString('amount'));
        try {
            [$proposal, $number] = $this->proposal($topic, $now, $life->day + 1, $asked['of'], $typed, $keeper);
        } catch (UnreadableQuantity $unreadable) {
            return $this->refused($asked, $typed, $unreadable->getMessage());
        }
        if (null === $proposal) {
            throw $this->createNotFoundException('This cannot be asked of this tank.');
        }
        if (null !== $number) {
            return $this->refused($asked, $typed, $number);
        }
        $edits = Changes::typed($proposal->changes);
        try {
            $then = $this->editor->apply($life->plan, $edits, $keeper->units())->plan;
            FutureOnly::check($life->plan, $then, $life->day);
        } catch (InvalidPlan $refused) {
            return $this->refused($asked, $typed, implode(' ', $refused->messages($keeper->units())));
        }
        $ticket = $this->estimates->compare($life, $estimate, $then, $edits, $keeper);
        $comparison = $ticket->value;

        return $this->answer([
            ...$asked,
            'share' => null,
            'proposal' => $proposal,
            'edits' => $edits,
            'comparison' => $comparison instanceof Comparison ? $comparison : null,
            'rows' => $comparison instanceof Comparison ? array_map(
                static fn (Line $l): array => self::row($l, $keeper),
                $comparison->lines,
            ) : [],
            'card' => Topic::Away === $topic
                ? SitterCard::of($now, $estimate, (int) $proposal->amount, $estimate->litresPerWeek(), $keeper->units())
                : null,
        ], $ticket);
    }

    /**
     * @return array{Proposal|null, string|null} what is proposed, and why its amount is none
     *
     * @throws UnreadableQuantity
     */
    private function proposal(Topic $topic, Now $now, int $day, string $of, string $typed, Keeper $keeper): array
    {
        $make = fn (?float $amount): ?Proposal => Proposal::of(
            $topic,
            $now,
            $day,
            '' === $of ? null : $of,
            $amount,
            $this->catalogue,
            $keeper->units(),
        );
        $usual = $make(null);
        $number = $usual?->number;
        if (null === $usual || null === $number || '' === $typed) {
            return [$usual, null];
        }
        $amount = $number->read($typed, $keeper->units());
        if (!$number->allows($amount) || ($topic->isWhole() && floor($amount) !== $amount)) {
            return [$usual, \sprintf(
                '%s from %s to %s.',
                $topic->isWhole() ? 'A whole number' : 'An amount',
                $number->sayExactly($number->from, $keeper->units()),
                $number->sayExactly($number->to, $keeper->units()),
            )];
        }

        return [$make($amount), null];
    }

    /** @return array<string, mixed> */
    private static function row(Line $line, Keeper $keeper): array
    {
        $quantity = $line->outcome->quantity();
        $say = static fn (float $value): string => $quantity->say($value, $keeper->kit(), $keeper->units());
        $band = static fn (float $low, float $high): string => $quantity->between($low, $high, $keeper->kit(), $keeper->units());

        return [
            'name' => Words::capital($quantity->label()),
            'when' => $line->outcome->when(),
            'now' => $say($line->asNow[1]),
            'nowBand' => $band($line->asNow[0], $line->asNow[2]),
            'then' => $say($line->then[1]),
            'thenBand' => $band($line->then[0], $line->then[2]),
            'clear' => $line->isClear(),
            'up' => $line->differs[1] > 0,
            'limit' => null === $line->limit ? '' : $say($line->limit),
            'held' => $line->held,
            'holds' => $line->holds,
        ];
    }

    /** @param array<string, mixed> $asked */
    private function refused(array $asked, string $typed, string $why): Response
    {
        return $this->render(
            'estimate/ask.html.twig',
            [...$asked, 'ticket' => null, 'share' => null, 'proposal' => null, 'typed' => $typed, 'error' => $why],
            new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    /** @param array<string, mixed> $shown */
    private function answer(array $shown, Ticket $ticket): Response
    {
        return $this->render(
            'estimate/ask.html.twig',
            [...$shown, 'ticket' => $ticket, 'error' => null],
            new Response(status: $ticket->status(), headers: $ticket->headers()),
        );
    }
}
