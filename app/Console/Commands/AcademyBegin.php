<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Academy\Links;
use App\Models\Enums\LinkPurpose;
use App\Models\User;
use Illuminate\Console\Command;

final class AcademyBegin extends Command
{
    protected $signature = 'academy:begin {--url= : where the application is reached, where that is not APP_URL}';

    protected $description = 'Print the link by which an academy begins in an empty database; earlier ones end';

    public function handle(Links $links): int
    {
        if (User::query()->exists()) {
            $this->error('An academy has begun here already; its head coach invites everybody else.');

            return self::FAILURE;
        }
        $url = $this->option('url');
        if (is_string($url) && $url !== '') {
            url()->useOrigin($url);
        }
        $this->line('  Begin here, within a day:');
        $this->line('  '.route('begin', $links->make(LinkPurpose::Begin)));

        return self::SUCCESS;
    }
}
