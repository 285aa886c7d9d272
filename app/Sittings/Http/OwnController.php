<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Http\Controller;
use App\Models\Recording;
use App\Sittings\Actions\BeginReview;
use App\Sittings\Pages\OwnSwings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** One's own swings, looked at alone. */
final class OwnController extends Controller
{
    public function index(OwnSwings $page): View
    {
        return view('sittings.own', $page->of($this->user()));
    }

    public function begin(Recording $recording, BeginReview $begin): RedirectResponse
    {
        return redirect()->route('read', $begin($recording, $this->user()));
    }
}
