<?php

declare(strict_types=1);

namespace App\Agreement\Http;

use App\Agreement\Actions\PublishRound;
use App\Http\Controller;
use App\Models\Sitting;
use App\Models\Work;
use Illuminate\Http\RedirectResponse;

final class PublishController extends Controller
{
    public function __invoke(Sitting $round, PublishRound $publish): RedirectResponse
    {
        return $this->ask(fn (): Work => $publish($round, $this->user()), (string) __('notices.agreement.published'));
    }
}
