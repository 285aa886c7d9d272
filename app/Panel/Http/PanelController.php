<?php

declare(strict_types=1);

namespace App\Panel\Http;

use App\Http\Controller;
use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Panel\Actions\RuleOnEntry;
use App\Panel\Pages\KeyVersions;
use App\Panel\Pages\PanelPage;
use App\Sight\Onlookers;
use App\Undo\Undos;
use Core\Sight\SittingKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;

final class PanelController extends Controller
{
    public function index(): RedirectResponse|View
    {
        $user = $this->user();
        abort_unless($user->maySit(SittingKind::Panel), 403);
        $round = Sitting::query()
            ->where('kind', SittingKind::Panel)
            ->withSeatOf($user)
            ->orderByDesc('id')
            ->get()
            ->first(fn (Sitting $r): bool => Gate::forUser($user)->allows('viewKey', $r));

        return $round === null
            ? view('empty', [
                'title' => __('panel.page'),
                'text' => __('panel.no-study'),
            ])
            : redirect()->route('panel', $round);
    }

    public function show(PanelRequest $request, Sitting $round, PanelPage $page): View
    {
        return view('panel.entries', $page->of(
            $round,
            $this->user(),
            $request->entry(),
            $request->lens(),
        ));
    }

    public function versions(PanelRequest $request, Sitting $round, KeyVersions $page, Onlookers $onlookers): View
    {
        // A line that is left out would tell what waits to be read.
        abort_if($onlookers->of($this->user())->withheld($round) !== null, 404);

        return view('panel.versions', $page->of(
            $round,
            $this->user(),
            $request->lens() ?? $round->lens,
            $request->filled('from') ? $request->integer('from') : null,
            $request->filled('to') ? $request->integer('to') : null,
        ));
    }

    public function rule(
        RulingRequest $request,
        KeyEntry $entry,
        RuleOnEntry $rule,
        Undos $undos,
    ): RedirectResponse {
        return $this->attempt(
            function () use ($request, $entry, $rule, $undos): void {
                $was = $entry->replicate();
                $ruled = $rule($entry, $request->ruling(), $request->string('reason')->value(), $this->user());
                $undos->offer($this->user(), 'ruling', RuleOnEntry::before($was, $ruled->refresh()));
            },
            (string) __('notices.panel.ruled-panel-s-label'),
        );
    }
}
