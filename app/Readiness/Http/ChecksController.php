<?php

declare(strict_types=1);

namespace App\Readiness\Http;

use App\Http\Controller;
use App\Models\CheckPlan;
use App\Models\KeyVersion;
use App\Readiness\Actions\HoldChecks;
use App\Readiness\Pages\ChecksPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Weekly checks: started, watched, stopped. */
final class ChecksController extends Controller
{
    public function index(ChecksPage $page): View
    {
        return view('readiness.checks', $page->of());
    }

    public function store(ChecksRequest $request, HoldChecks $hold): RedirectResponse
    {
        $to = $this->backTo(route('checks'));
        $hold->start(
            KeyVersion::query()->findOrFail($request->integer('key')),
            $request->integer('weekday'),
            $this->user(),
        );
        // Where its day has come already, this week's begins at once.
        $hold->open();

        return redirect()->to($to);
    }

    public function destroy(CheckPlan $plan, HoldChecks $hold): RedirectResponse
    {
        $to = $this->backTo(route('checks'));
        $hold->stop($plan, $this->user());

        return redirect()->to($to);
    }
}
