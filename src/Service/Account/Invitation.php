<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

use Doctrine\ORM\Mapping as ORM;

/** That one person may become a keeper, until a day. Only the code's hash is kept. */
#[ORM\Entity]
#[ORM\Table(name: 'invitation')]
class Invitation
{
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(name: 'code_hash', type: 'string', length: 64)]
        public readonly string $codeHash,
        #[ORM\Column(name: 'made_at', type: 'datetime_immutable')]
        public readonly \DateTimeImmutable $madeAt,
        #[ORM\Column(name: 'ends_at', type: 'datetime_immutable')]
        public readonly \DateTimeImmutable $endsAt,
    ) {
    }
}
