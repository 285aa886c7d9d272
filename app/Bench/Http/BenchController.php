<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Actions\MarkStation;
use App\Bench\Pages\BenchPage;
use App\Bench\Pages\ComparePage;
use App\Bench\Pages\Comparison;
use App\Bench\Pages\EvidencePayload;
use App\Bench\Pages\VerdictCurves;
use App\Codebook\Codebooks;
use App\Codebook\Http\LensRequest;
use App\Http\Controller;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Shelf\Actions\EraseRecording;
use App\Shelf\Actions\RepairRecording;
use App\Shelf\Actions\SetFilmClock;
use App\Shelf\Http\ClockRequest;
use App\Shelf\Http\RepairRequest;
use App\Shelf\Pages\RemovalPage;
use App\Sight\Onlookers;
use App\Works\Works;
use Core\Motion\View;
use Core\Number\Written;
use Illuminate\Contracts\View\View as Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

final class BenchController extends Controller
{
    public function show(
        LensRequest $request,
        Recording $recording,
        BenchPage $page,
    ): Page {
        if ($recording->measured()->doesntExist()) {
            return self::measuring($recording);
        }

        $shown = $page->of($recording, $request->lens(), $this->user());
        if ($shown['anew'] === true) {
            // The page loads itself again once it is measured: what was said now is said then too.
            session()->keep(['done', 'refused']);
        }

        return view('bench.show', $shown);
    }

    /** Whether it is measured, for a page that waits for it. */
    public function state(Recording $recording, Works $works): JsonResponse
    {
        return response()->json([
            'done' => $recording->measured()->exists() && $works->underWay(WorkKind::Measure, $recording) === null,
        ]);
    }

    public function evidence(Recording $recording, EvidencePayload $payload): JsonResponse
    {
        return response()->json([
            ...$payload->of(
                $recording,
                true,
                [View::FaceOn, View::DownTheLine],
                true,
                static fn (string $view, string $part): string => route(
                    'bench.film',
                    [$recording, $view, $part],
                    false,
                ),
            ),
            'quality' => $recording->measured()->first()->quality ?? [],
        ]);
    }

    /** Two recordings side by side. */
    public function compare(
        LensRequest $request,
        Recording $recording,
        Recording $other,
        ComparePage $page,
    ): Page {
        foreach ([$recording, $other] as $one) {
            if ($one->measured()->doesntExist()) {
                return self::measuring($one);
            }
        }

        return view(
            'bench.compare',
            $page->of($recording, $other, $request->lens(), $this->user()),
        );
    }

    /** From the list of recordings, or from what somebody looks for, to the page of the two. */
    public function beside(
        BesideRequest $request,
        Recording $recording,
        Onlookers $onlookers,
        Comparison $comparison,
    ): RedirectResponse|Page {
        $find = $request->find();
        if ($find === '') {
            $other = $onlookers->of($this->user())->recordings()->where('public_id', $request->other())->first();

            return $other === null
                ? redirect()->route('bench', $recording)->with('refused', (string) __('bench.choose-other'))
                : redirect()->route('bench.compare', [$recording, $other]);
        }
        $found = $comparison->found($recording, $this->user(), $find);

        return count($found) === 1
            ? redirect()->route('bench.compare', [$recording, $found[0]['id']])
            : view('bench.choose', ['recording' => $recording, 'find' => $find, 'found' => $found]);
    }

    /** The curve and threshold a verdict came from, as a part of a page. */
    public function why(
        LensRequest $request,
        Recording $recording,
        string $fault,
        VerdictCurves $curves,
        Codebooks $codebooks,
    ): Page {
        $lens = $request->lens();
        abort_unless(isset($codebooks->current($lens)->faults[$fault]), 404);

        return view('bench.why', ['conditions' => $curves->of($recording, $fault, $lens)]);
    }

    public function mark(StationRequest $request, Recording $recording, MarkStation $mark): RedirectResponse
    {
        $bench = $this->backTo(route('bench', $recording));
        $mark($recording, $request->station(), $request->time(), $this->user());

        return redirect()
            ->to($bench)
            ->with('done', (string) __('bench.stations.'.($request->time() === null ? 'taken-back' : 'marked')));
    }

    public function repair(RepairRequest $request, Recording $recording, RepairRecording $repair): RedirectResponse
    {
        $repair($recording, $request->kind(), $this->user());

        return redirect()->route('bench', $recording)->with('done', (string) __('import.repaired'));
    }

    public function repairBack(Recording $recording, RepairRecording $repair): RedirectResponse
    {
        $repair->back($recording, $this->user());

        return redirect()->route('bench', $recording)->with('done', (string) __('import.repair-back'));
    }

    public function clock(ClockRequest $request, Recording $recording, SetFilmClock $set): RedirectResponse
    {
        $bench = $this->backTo(route('bench', $recording));
        $match = $set($recording, $request->by(), $this->user(), $request->float('shift'));

        return redirect()
            ->to($bench)
            ->with(
                'done',
                (string) __('bench.clock.set', [
                    'offset' => Written::signed(1000.0 * $match->clock->offsetS, 1),
                    'sure' => Written::fixed(1000.0 * $match->uncertaintyS, 1),
                    'by' => $match->by,
                    'drift' => Written::fixed($match->clock->driftPpm, 0),
                ]),
            );
    }

    public function remove(Recording $recording, RemovalPage $page): Page
    {
        return view('shelf.remove', $page->of($recording));
    }

    public function erase(Recording $recording, EraseRecording $erase): RedirectResponse
    {
        return redirect()->route('shelf')->with('done', $erase($recording, $this->user())
            ? (string) __('removal.gone-in-part')
            : (string) __('removal.gone'));
    }

    /** A page that fills itself in once the recording is measured. */
    private static function measuring(Recording $recording): Page
    {
        return view('bench.measuring', [
            'name' => "{$recording->load('golfer')->golfer->pseudonym}, $recording->club",
            'state' => route('bench.state', $recording, false),
        ]);
    }
}
