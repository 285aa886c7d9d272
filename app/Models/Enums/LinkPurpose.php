<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What a link in a letter lets its holder do. */
enum LinkPurpose: string
{
    /** Make the academy and its first head coach. */
    case Begin = 'begin';
    /** Choose the first password. */
    case Invite = 'invite';
    /** Choose another one. */
    case Reset = 'reset';
    /** Say, at the old address, that it shall change. */
    case AddressFrom = 'address-from';
    /** Say, at the new address, that it is theirs. */
    case AddressTo = 'address-to';

    public function hours(): int
    {
        return match ($this) {
            self::Begin, self::AddressFrom, self::AddressTo => 24,
            self::Invite => 24 * 14,
            self::Reset => 1,
        };
    }
}
