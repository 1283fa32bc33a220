<?php

declare(strict_types=1);

namespace Olvek\Service\Account;

/** Who may become a keeper by themselves, as whoever runs Olvek has decided (OLVEK_REGISTRATION). */
enum Registration: string
{
    case Open = 'open';
    case Invite = 'invite';
    case Closed = 'closed';

    /** How one gets in, for the sign-in page. */
    public function words(): string
    {
        return match ($this) {
            self::Open => 'New here? You can make an account yourself.',
            self::Invite => 'New here? You need an invitation: ask whoever runs this site for its address.',
            self::Closed => 'New here? Accounts are made by whoever runs this site: ask there.',
        };
    }
}
