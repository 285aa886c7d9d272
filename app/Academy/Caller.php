<?php

declare(strict_types=1);

namespace App\Academy;

/** Where a log-in is tried from. */
final readonly class Caller
{
    /** @param  list<string>  $entered  accounts that this browser has entered before, as Attempts names them */
    public function __construct(public string $ip, public string $agent, public array $entered = [])
    {
    }
}
