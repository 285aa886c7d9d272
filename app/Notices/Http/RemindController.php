<?php

declare(strict_types=1);

namespace App\Notices\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\Sitting;
use App\Notices\Actions\Remind;
use Illuminate\Http\RedirectResponse;

final class RemindController extends Controller
{
    /** @throws ActionException */
    public function __invoke(Sitting $round, Remind $remind): RedirectResponse
    {
        $to = $this->backTo(route('rounds.show', $round));
        $told = $remind($round, $this->user());

        return redirect()->to($to)->with('done', trans_choice('notices.sittings.reminded', $told, ['count' => $told]));
    }
}
