<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Notices\Actions\SendDigests;
use Illuminate\Console\Command;

final class NoticesSend extends Command
{
    protected $signature = 'notices:send';

    protected $description = 'Send the day\'s letters now, where they are due; the queue\'s worker does it by itself';

    public function handle(SendDigests $send): int
    {
        $this->line($send().' letters');

        return self::SUCCESS;
    }
}
