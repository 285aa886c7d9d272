<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ExportRound;
use App\Models\Round;
use App\Models\User;
use App\Queries\AgreementPage;
use App\Queries\PersonPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

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

    /** Everything of a published round as open files. */
    public function export(Round $round, ExportRound $export): BinaryFileResponse
    {
        $path = tempnam(sys_get_temp_dir(), 'vc-round');
        abort_if($path === false, 500);
        $export($round, $path);

        return response()->download($path, Str::slug($round->name).'.zip', ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    public function person(Round $round, User $member, PersonPage $page): View
    {
        return view('person', $page->of($round, $member, $this->user()));
    }

    public function show(Round $round, AgreementPage $page): View
    {
        return view('agreement', $page->of($round, $this->user()));
    }
}
