<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Http\Controller;
use App\Models\ContrastSet;
use App\Practice\Actions\AskContrast;
use App\Practice\Pages\ContrastPage;
use App\Practice\Pages\ContrastSetPage;
use App\Practice\Pages\MadePayload;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** Contrast sets: swings of the simulator that differ in one thing. They are nobody's, and open to all who sign in. */
final class ContrastController extends Controller
{
    public function index(ContrastPage $page): View
    {
        return view('contrast.index', $page->of($this->user()));
    }

    public function store(ContrastRequest $request, AskContrast $ask): RedirectResponse
    {
        $this->backTo(route('contrast'));

        return redirect()->route('contrast.show', $ask($request->spec(), $this->user()));
    }

    public function show(ContrastSet $set, ContrastSetPage $page): View
    {
        return view('contrast.show', $page->of($set, $this->user()));
    }

    public function evidence(ContrastSet $set, int $place): JsonResponse
    {
        return response()->json(MadePayload::of($set->swings->get($place) ?? abort(404)));
    }
}
