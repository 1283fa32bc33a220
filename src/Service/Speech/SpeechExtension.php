<?php

declare(strict_types=1);

namespace Olvek\Service\Speech;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Account\Keeper;
use Symfony\Bundle\SecurityBundle\Security;
use Twig\Attribute\AsTwigFilter;

/** Formats messages in templates, in the signed-in keeper's units: `{{ mistake.message|say }}`. */
final readonly class SpeechExtension
{
    public function __construct(private Speech $speech, private Security $security)
    {
    }

    /** @param Message|list<Message> $message one, or the sentences of a paragraph */
    #[AsTwigFilter('say')]
    public function say(Message|array $message): string
    {
        $keeper = $this->security->getUser();

        return $this->speech->sayAll(
            \is_array($message) ? $message : [$message],
            $keeper instanceof Keeper ? $keeper->units() : UnitSystem::Metric,
        );
    }
}
