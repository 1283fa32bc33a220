<?php

declare(strict_types=1);

namespace Olvek\Service\Speech;

use Olvek\Core\Basis\Message\Message;
use Olvek\Core\Basis\Unit\UnitSystem;
use Olvek\Service\Account\Keeper;
use Symfony\Bundle\SecurityBundle\Security;
use Twig\Attribute\AsTwigFilter;

/** Lets a template say a message, in the units of whoever is signed in: `{{ mistake.message|say }}`. */
final readonly class SpeechExtension
{
    public function __construct(private Speech $speech, private Security $security)
    {
    }

    #[AsTwigFilter('say')]
    public function say(Message $message): string
    {
        $keeper = $this->security->getUser();

        return $this->speech->say($message, $keeper instanceof Keeper ? $keeper->units() : UnitSystem::Metric);
    }
}
