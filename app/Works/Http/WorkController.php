<?php

declare(strict_types=1);

namespace App\Works\Http;

use App\Http\Controller;
use App\Models\Enums\WorkState;
use App\Models\Work;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** How far long work has come, and the way to stop it. */
final class WorkController extends Controller
{
    public function show(Work $work): JsonResponse
    {
        return response()->json([
            'state' => $work->state,
            'progress' => round($work->progress, 3),
            'problem' => $work->problem === null ? null : $work->says(),
            'cancelling' => $work->cancelling,
        ]);
    }

    /** One that waits is over at once; one that runs is told so the next time it tells how far it is. */
    public function cancel(Work $work): RedirectResponse
    {
        DB::transaction(static function () use ($work): void {
            $work = Work::query()->lockForUpdate()->findOrFail($work->id);
            match ($work->state) {
                WorkState::Waiting => $work->update(['state' => WorkState::Cancelled]),
                WorkState::Running => $work->update(['cancelling' => true]),
                default => null,
            };
        });

        return back()->with('done', (string) __('notices.works.being-stopped-nothing-changed'));
    }
}
