<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Round;
use App\Queries\AgreementPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;

final class AgreementController extends Controller
{
    public function index(): RedirectResponse|View
    {
        $user = $this->user();
        $round = Round::query()->where('kind', Round::STAFF)->where('state', 'published')->orderByDesc('published_at')->get()
            ->first(fn (Round $r): bool => Gate::forUser($user)->allows('viewResult', $r));

        return $round === null
            ? view('empty', ['title' => 'Agreement', 'text' => 'Figures appear here when a round you belong to has been published. Until then nobody sees anybody\'s calls.'])
            : redirect()->route('agreement', $round);
    }

    public function show(Round $round, AgreementPage $page): View
    {
        return view('agreement', $page->of($round, $this->user()));
    }
}
