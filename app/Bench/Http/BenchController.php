<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Actions\MarkStation;
use App\Bench\Pages\BenchPage;
use App\Bench\Pages\Comparison;
use App\Bench\Pages\EvidencePayload;
use App\Bench\Pages\VerdictCurves;
use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Shelf\Actions\EraseRecording;
use App\Shelf\Actions\SetFilmClock;
use App\Shelf\Http\ClockRequest;
use App\Shelf\Pages\RemovalPage;
use App\Sight\Onlookers;
use App\Works\Works;
use Core\Codebook\StandardLenses;
use Core\Motion\Station;
use Core\Motion\View;
use Illuminate\Contracts\View\View as Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class BenchController extends Controller
{
    public function show(
        Request $request,
        Recording $recording,
        BenchPage $page,
        Codebooks $codebooks,
        Comparison $comparison,
    ): Page {
        $lens = self::lens($request, $codebooks);
        if ($recording->measured()->doesntExist()) {
            return view('bench.measuring', [
                'recording' => $recording->load('golfer'),
                'state' => route('bench.state', $recording, false),
            ]);
        }

        return view('bench.show', [
            ...$page->of($recording, $lens, $this->user()),
            'candidates' => $comparison->candidates($recording, $this->user()),
        ]);
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
                static fn (string $view, string $part): string => route('bench.film', [$recording, $view, $part], false),
            ),
            'quality' => $recording->measured()->first()->quality ?? [],
        ]);
    }

    /** Two recordings side by side. */
    public function compare(
        Request $request,
        Recording $recording,
        Recording $other,
        Comparison $comparison,
        Codebooks $codebooks,
    ): Page {
        foreach ([$recording, $other] as $one) {
            if ($one->measured()->doesntExist()) {
                return view('bench.measuring', [
                    'recording' => $one->load('golfer'),
                    'state' => route('bench.state', $one, false),
                ]);
            }
        }

        return view('bench.compare', [
            ...$comparison->of($recording, $other, self::lens($request, $codebooks), $this->user()),
            'candidates' => $comparison->candidates($recording, $this->user()),
        ]);
    }

    /** From the list of recordings to the page of the two. */
    public function beside(Request $request, Recording $recording, Onlookers $onlookers): RedirectResponse
    {
        $other = $onlookers
            ->of($this->user())
            ->recordings()
            ->where('public_id', (string) $request->string('other'))
            ->first();

        return $other === null
            ? redirect()->route('bench', $recording)->with('refused', 'Choose a recording to put beside this one.')
            : redirect()->route('bench.compare', [$recording, $other]);
    }

    /** The curve and threshold a verdict came from, as a part of a page. */
    public function why(
        Request $request,
        Recording $recording,
        string $fault,
        VerdictCurves $curves,
        Codebooks $codebooks,
    ): Page {
        $lens = self::lens($request, $codebooks);
        abort_unless(isset($codebooks->current($lens)->faults[$fault]), 404);

        return view('bench.why', ['charts' => $curves->of($recording, $fault, $lens)]);
    }

    public function mark(StationRequest $request, Recording $recording, MarkStation $mark): RedirectResponse
    {
        $t = $request->validated('t_s');
        try {
            $mark(
                $recording,
                Station::from((string) $request->validated('code')),
                $t === null ? null : (float) $t,
                $this->user(),
            );
        } catch (ActionException $e) {
            return redirect()->route('bench', $recording)->with('refused', $e->getMessage());
        }

        return redirect()
            ->route('bench', $recording)
            ->with(
                'done',
                $t === null
                    ? 'Taken back; the program’s own time counts again.'
                    : 'Marked. Everything is measured anew; the program’s own time is kept beside it.',
            );
    }

    public function clock(ClockRequest $request, Recording $recording, SetFilmClock $set): RedirectResponse
    {
        try {
            $match = $set(
                $recording,
                $request->validated('by'),
                $this->user(),
                (float) ($request->validated('shift') ?? 0.0),
            );
        } catch (ActionException $e) {
            return redirect()->route('bench', $recording)->with('refused', $e->getMessage());
        }

        return redirect()
            ->route('bench', $recording)
            ->with(
                'done',
                sprintf(
                    'The film’s clock now stands %+.1f ms to the trace’s, ± %.1f ms, by %s; drift %.0f parts per '
                        .'million.',
                    1000 * $match->clock->offsetS,
                    1000 * $match->uncertaintyS,
                    $match->by,
                    $match->clock->driftPpm,
                ),
            );
    }

    public function remove(Recording $recording, RemovalPage $page): Page
    {
        return view('shelf.remove', $page->of($recording));
    }

    public function erase(Recording $recording, EraseRecording $erase): RedirectResponse
    {
        return redirect()->route('shelf')->with('done', $erase($recording, $this->user())
            ? 'Its film, trace and measures are gone. What was said of it stays, marked.'
            : 'It is gone.');
    }

    private static function lens(Request $request, Codebooks $codebooks): string
    {
        /** @var string|null $lens */
        $lens =
            $request->validate([
                'lens' => ['nullable', 'string', Rule::in(array_keys($codebooks->document()->lenses()))],
            ])['lens'] ?? null;

        return $lens ?? StandardLenses::DEFAULT;
    }
}
