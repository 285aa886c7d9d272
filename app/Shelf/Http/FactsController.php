<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Http\Controller;
use App\Models\Casts\Cell;
use App\Models\Recording;
use App\Shelf\Actions\ChangeFacts;
use App\Shelf\Pages\FactsPage;
use App\Sight\Onlookers;
use App\Undo\Undos;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What is known of a swing beside what was recorded: of one, or of several at once. */
final class FactsController extends Controller
{
    public function edit(Recording $recording, FactsPage $page): View
    {
        return view('shelf.facts', $page->of($recording));
    }

    public function update(FactsRequest $request, Recording $recording, ChangeFacts $change,
        Undos $undos): RedirectResponse
    {
        $this->backTo(route('facts', $recording));
        $before = $change([$recording->id], $request->swing(), $this->user(), $request->integer('version'));
        $change->cameras($recording, $request->cameras(), $this->user());
        $this->offer($before, $undos);

        return redirect()->route('bench', $recording)->with('done', (string) __('facts.kept'));
    }

    public function several(
        BulkFactsRequest $request,
        Onlookers $onlookers,
        ChangeFacts $change,
        Undos $undos,
    ): RedirectResponse {
        $ids = $onlookers->of($this->user())->recordings()
            ->whereIn('public_id', $request->swings())
            ->pluck('id')
            ->map(static fn (mixed $id): int => Cell::int($id))
            ->all();
        $facts = $request->facts();
        if ($ids === [] || $facts === []) {
            return back()->with('refused', (string) __('facts.nothing-chosen'));
        }
        $before = $change(array_values($ids), $facts, $this->user());
        $this->offer($before, $undos);

        return back()->with('done', trans_choice('facts.several-kept', count($before), ['count' => count($before)]));
    }

    /** @param  array<int, array<string, mixed>>  $before */
    private function offer(array $before, Undos $undos): void
    {
        if ($before === []) {
            return;
        }
        $versions = Recording::query()->whereKey(array_keys($before))->pluck('facts_version', 'id');
        $payload = [];
        foreach ($before as $id => $facts) {
            $payload[$id] = ['version' => Cell::int($versions[$id]), 'facts' => $facts];
        }
        $undos->offer($this->user(), 'facts', $payload);
    }
}
