<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Http\Controller;
use App\Sittings\Pages\PlanPage;
use Illuminate\Contracts\View\View;

final class PlanController extends Controller
{
    public function __invoke(PlanRequest $request, PlanPage $page): View
    {
        return view('sittings.plan', $page->of($this->user(), $request->asked()));
    }
}
