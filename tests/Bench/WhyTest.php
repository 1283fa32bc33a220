<?php

declare(strict_types=1);

namespace Olvek\Tests\Bench;

use Olvek\Core\Planning\Plan\Method;
use Olvek\Service\Judging\Outcomes;
use Olvek\Tests\BenchTestCase;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;

/** What takes longer than a look: helps, questions, methods, and how sure it all is. */
#[Group('any-database')]
final class WhyTest extends BenchTestCase
{
    private const PARTS = ['HTTP_Olvek-Parts' => '{}'];

    public function testHelpsCanBeTaken(): void
    {
        $page = $this->browser->request('GET', "/tanks/$this->tank/helps/oxygen");
        self::assertResponseIsSuccessful();
        $form = $page->filter('form[data-apply]')->first();
        self::assertStringContainsString('→', $form->text());
        $this->browser->submit($form->form());
        self::assertResponseRedirects();
        self::assertSame(2, $this->stored()->head());
    }

    /** Far too many fish: the Bench says who comes to harm, and what is offered against it averts it once taken. */
    public function testWhatAvertsAHarmCanBeTaken(): void
    {
        $this->send(['animals.a3.count' => '120']);
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        self::assertSelectorExists('.verdict-fails');
        self::assertStringContainsString('of tank and have', $page->filter('.expect')->text());
        $page = $this->browser->request('GET', "/tanks/$this->tank/averts/room");
        self::assertResponseIsSuccessful();
        $this->browser->submit($page->filter('form[data-apply]')->first()->form());
        self::assertResponseRedirects();
        $page = $this->browser->request('GET', "/tanks/$this->tank");
        self::assertStringNotContainsString('of tank and have', $page->filter('.bench-verdict')->text());
    }

    public function testNoSuchMarginQuestionOrMethod(): void
    {
        foreach ([
            'helps/happiness',
            'averts/happiness',
            'solve/happiness',
            'solve/stock',
            'solve/stock/whale',
            'method/dragons',
            'helps/x1',
        ] as $address) {
            $this->browser->request('GET', "/tanks/$this->tank/$address");
            self::assertResponseStatusCodeSame(404, $address);
        }
    }

    #[TestWith(['stock/neocaridina-davidi'])]
    #[TestWith(['light'])]
    #[TestWith(['trim'])]
    #[TestWith(['food'])]
    public function testAQuestionIsAnsweredInAFragment(string $question): void
    {
        $this->browser->request('GET', "/tanks/$this->tank/solve/$question", server: self::PARTS);
        self::assertResponseIsSuccessful();
        $html = (string) $this->browser->getResponse()->getContent();
        self::assertStringNotContainsString('<html', $html);
        self::assertStringContainsString('class="answer', $html);
    }

    public function testAMethodIsLookedAtBeforeItIsTakenAndUndone(): void
    {
        $before = $this->plan()->bed;
        $page = $this->browser->request('GET', "/tanks/$this->tank/method/".Method::LeafSandwich->value);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('It would change:', $page->text());
        self::assertEquals($before, $this->plan()->bed, 'looking changes nothing');
        $this->browser->submit($page->selectButton('Use this method: Leaf sandwich')->form());
        self::assertSame('potting-soil', $this->plan()->bed->soil?->mix->parts[0][0]->id);
        self::assertSame(2, $this->stored()->head());
        $this->browser->followRedirect();
        self::assertStringContainsString('method: Leaf sandwich', $this->text('.last-change'));
    }

    public function testHowSureItIsIsCalculatedInParts(): void
    {
        $token = $this->browser->request('GET', "/tanks/$this->tank")->filter('#edit [name=_token]')->attr('value');
        for ($part = 0; $part < Outcomes::PARTS; ++$part) {
            $this->browser->request('POST', "/tanks/$this->tank/sure/$part", ['_token' => $token]);
            self::assertResponseIsSuccessful();
            $answer = json_decode((string) $this->browser->getResponse()->getContent(), true, flags: \JSON_THROW_ON_ERROR);
            self::assertIsArray($answer);
            self::assertSame(Outcomes::PARTS - 1 === $part, $answer['done']);
        }
        $this->browser->request('GET', "/tanks/$this->tank");
        self::assertMatchesRegularExpression('#^\d+ of 64$#', $this->text('#margin-oxygen .margin-sure'));
        $this->browser->request('POST', "/tanks/$this->tank/sure/".Outcomes::PARTS, ['_token' => $token]);
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('POST', "/tanks/$this->tank/sure/0", ['_token' => 'stolen']);
        self::assertResponseStatusCodeSame(422);
    }
}
