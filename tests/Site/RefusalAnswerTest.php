<?php

declare(strict_types=1);

namespace Olvek\Tests\Site;

use Doctrine\ORM\OptimisticLockException;
use Olvek\Service\Editing\StaleEdit;
use Olvek\Service\Site\RefusalAnswer;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** What two windows at the same moment come to where no page has answered it: 409 in words, whichever lock it was. */
final class RefusalAnswerTest extends TestCase
{
    private function answered(\Throwable $thrown, string $accept): ExceptionEvent
    {
        $request = new Request();
        $request->headers->set('Accept', $accept);
        $event = new ExceptionEvent(self::createStub(HttpKernelInterface::class), $request, HttpKernelInterface::MAIN_REQUEST, $thrown);
        (new RefusalAnswer())($event);

        return $event;
    }

    public function testALostLockOfAnyEntityIsAConflictInWords(): void
    {
        $answer = $this->answered(OptimisticLockException::lockFailed(new \stdClass()), 'text/html')->getThrowable();
        self::assertInstanceOf(HttpException::class, $answer);
        self::assertSame(409, $answer->getStatusCode());
        self::assertStringContainsString('at the same moment', $answer->getMessage());
    }

    #[TestWith(['text/html', false])]
    #[TestWith(['application/json', true])]
    public function testAStaleEditIsOneTooAndToAScriptAsJson(string $accept, bool $json): void
    {
        $event = $this->answered(new StaleEdit(), $accept);
        $answer = $event->getThrowable();
        self::assertInstanceOf(HttpException::class, $answer);
        self::assertSame(409, $answer->getStatusCode());
        self::assertSame($json, $event->hasResponse());
        self::assertSame($json ? 409 : null, $event->getResponse()?->getStatusCode());
        if ($json) {
            self::assertJsonStringEqualsJsonString(
                json_encode(['message' => (new StaleEdit())->getMessage()], \JSON_THROW_ON_ERROR),
                (string) $event->getResponse()?->getContent(),
            );
        }
    }

    /** A failed commit names no entity: a full disk is not a conflict. */
    public function testAFailedCommitStaysWhatItIs(): void
    {
        $full = new OptimisticLockException('Cannot commit', null);
        self::assertSame($full, $this->answered($full, 'text/html')->getThrowable());
    }
}
