<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ActionException;
use App\Actions\HandInReading;
use App\Actions\SaveReading;
use App\Actions\StaleSheet;
use App\Http\Requests\SheetRequest;
use App\Models\Call;
use App\Models\Reading;
use App\Queries\Codebooks;
use App\Queries\EvidencePayload;
use Core\Motion\Station;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

final class ReadingController extends Controller
{
    /** The next case of the reader's open rounds, in the reader's own order. */
    public function next(): RedirectResponse
    {
        session()->reflash();
        $reading = Reading::query()->where('user_id', $this->user()->id)->whereNull('handed_in_at')
            ->whereHas('case.round', fn ($q) => $q->where('state', 'open'))
            ->orderBy('position')->first();

        return $reading === null ? redirect()->route('today')->with('done', 'Nothing is waiting for you: every case is handed in.') : redirect()->route('read', $reading);
    }

    public function show(Reading $reading, Codebooks $codebooks): View
    {
        $reading->load(['case.round', 'case.recording.golfer.consents']);
        $this->mayBeUsed($reading);
        $of = Reading::query()->where('user_id', $reading->user_id)->whereIn('round_case_id', $reading->case->round->cases()->select('id'));

        return view('read', [
            'reading' => $reading,
            'case' => $reading->case,
            'cases' => $of->count(),
            'done' => (clone $of)->whereNotNull('handed_in_at')->count(),
            'codebook' => $codebooks->of($reading->case->round),
        ]);
    }

    public function evidence(Reading $reading, EvidencePayload $payload): JsonResponse
    {
        $reading->load('case.recording.golfer.consents');
        $this->mayBeUsed($reading);

        return response()->json($payload->of($reading->case->recording, $reading->case->shows_film, $reading->case->shows_trace));
    }

    /**
     * The sheet as it is kept now. Asked for by the page once it runs, so that a save still under way when the
     * page was loaded cannot leave it with an older sheet than the server's.
     */
    public function sheet(Reading $reading): JsonResponse
    {
        return response()->json($this->kept($reading->load('calls')));
    }

    public function update(SheetRequest $request, Reading $reading, SaveReading $save): JsonResponse
    {
        try {
            return response()->json(['version' => $save($reading, $request->sheet())]);
        } catch (StaleSheet $e) {
            return response()->json(['message' => $e->getMessage(), 'sheet' => $this->kept($e->reading->load('calls'))], 409);
        } catch (ActionException $e) {
            return response()->json(['message' => $e->getMessage()], 422);
        }
    }

    public function handIn(Reading $reading, HandInReading $handIn): RedirectResponse
    {
        try {
            $handIn($reading, $this->user());
        } catch (ActionException $e) {
            return redirect()->route('read', $reading)->with('refused', $e->getMessage());
        }

        return redirect()->route('read.next')->with('done', 'Handed in and locked.');
    }

    private function mayBeUsed(Reading $reading): void
    {
        abort_unless($reading->case->recording->golfer->isConsenting(), 410, 'The consent for this recording has ended; it is no longer shown.');
    }

    /** @return array<string, mixed> */
    private function kept(Reading $reading): array
    {
        return [
            'version' => $reading->version,
            'last_save' => $reading->last_save,
            'calls' => (object) $reading->calls->mapWithKeys(static fn (Call $c): array => [$c->fault => array_filter([
                'presence' => $c->presence, 'severity' => $c->severity, 'onset' => $c->onset, 'decision' => $c->decision, 'confidence' => $c->confidence, 'pins' => $c->pins,
            ], static fn ($v): bool => $v !== null)])->all(),
            'first_causes' => $reading->first_causes,
            'cue' => $reading->cue,
            'stations' => array_column(Station::cases(), 'value'),
        ];
    }
}
