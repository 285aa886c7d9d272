<?php

declare(strict_types=1);

namespace App\Agreement\Http;

use App\Agreement\Actions\ExportRound;
use App\Agreement\Pages\AgreementPage;
use App\Agreement\Pages\PersonPage;
use App\Agreement\RoundExport;
use App\Http\Controller;
use App\Models\Sitting;
use App\Models\User;
use App\Models\Work;
use App\Sight\Onlookers;
use Core\Format\Json\RecordJson;
use Core\Remark\InWords;
use Core\Sight\SittingKind;
use Core\Sight\Why;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class AgreementController extends Controller
{
    public function index(): RedirectResponse|View
    {
        $user = $this->user();
        $round = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->withSeatOf($user)
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->get()
            ->first(fn (Sitting $r): bool => Gate::forUser($user)->allows('viewResult', $r));

        return $round === null
            ? view('empty', [
                'title' => __('agreement.page'),
                'text' => __('agreement.none'),
            ])
            : redirect()->route('agreement', $round);
    }

    public function __construct(private readonly Onlookers $onlookers)
    {
    }

    /** Everything of a published round as open files, once they are made. */
    public function export(Sitting $round): StreamedResponse|RedirectResponse
    {
        if ($this->onlookers->of($this->user())->withheld($round) !== null) {
            return redirect()->route('agreement', $round);
        }
        $path = RoundExport::made($round);

        return $path === null
            ? redirect()->route('agreement', $round)
            : Storage::disk(RoundExport::DISK)->download($path, Str::slug($round->name).'.zip', [
                'Content-Type' => 'application/zip',
            ]);
    }

    /** Has those files made, or made anew. */
    public function make(Sitting $round, ExportRound $export): RedirectResponse
    {
        $this->backTo(route('agreement', $round));

        return $this->onlookers->of($this->user())->withheld($round) !== null
            ? redirect()->route('agreement', $round)
            : $this->ask(fn (): Work => $export($round, $this->user()), (string) __('notices.agreement.exported'));
    }

    public function person(Sitting $round, User $member, PersonPage $page): View
    {
        return $this->withheld($round) ?? view('agreement.person', $page->of($round, $member, $this->user()));
    }

    /** A person's record as a file of their own. */
    public function record(
        Sitting $round,
        User $member,
        PersonPage $page,
        InWords $words,
    ): JsonResponse|RedirectResponse {
        if ($this->onlookers->of($this->user())->withheld($round) !== null) {
            return redirect()->route('agreement.person', [$round, $member->id]);
        }

        return response()->json(
            RecordJson::publish($page->record($round, $member, $this->user()), $words),
            200,
            ['Content-Disposition' => 'attachment; filename="'.Str::slug("$member->name $round->name").'.json"'],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    public function show(AgreementRequest $request, Sitting $round, AgreementPage $page): View
    {
        return $this->withheld($round) ?? view('agreement.show', $page->of($round, $this->user(), $request->part()));
    }

    /**
     * Figures made from a swing that this person is still to read blind, or that is kept for later rounds, would tell
     * of it: they wait, whole. Of a round that keeps some, one's own letter leaves those out.
     */
    private function withheld(Sitting $round): ?View
    {
        $why = $this->onlookers->of($this->user())->withheld($round);

        return match (true) {
            $why === null => null,
            $why === Why::Reserved && $round->seats($this->user()) => view('agreement.kept', [
                'round' => $round,
                'person' => $this->user(),
            ]),
            default => view('empty', ['title' => $round->name, 'text' => __('agreement.waits')]),
        };
    }
}
