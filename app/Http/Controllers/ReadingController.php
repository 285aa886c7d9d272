<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ActionException;
use App\Actions\HandInReading;
use App\Actions\SaveChanges;
use App\Http\Requests\ChangesRequest;
use App\Models\Call;
use App\Models\CaseSwing;
use App\Models\Reading;
use App\Models\RoundCase;
use App\Queries\Codebooks;
use App\Queries\EvidencePayload;
use App\Queries\ReadingSwing;
use App\Queries\SecondLook;
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
            ->with('case.swings')->orderBy('position')->orderBy('stage')->get()->first(static fn (Reading $r): bool => $r->isNext());

        return $reading === null ? redirect()->route('today')->with('done', 'Nothing is waiting for you now.') : redirect()->route('read', $reading);
    }

    public function show(Reading $reading, Codebooks $codebooks, SecondLook $second, ReadingSwing $of): View
    {
        $of->mayBeLookedAt($reading);
        $mine = Reading::query()->where('user_id', $reading->user_id)->where('stage', Reading::BLIND)->whereIn('round_case_id', $reading->case->round->cases()->select('id'))
            ->with('case')->get()->reject(static fn (Reading $r): bool => $r->comesTooSoon());

        return view('read', [
            'reading' => $reading,
            'case' => $reading->case,
            'cases' => $mine->count(),
            'done' => $mine->whereNotNull('handed_in_at')->count(),
            'codebook' => $codebooks->of($reading->case->round),
            'swings' => $reading->case->kind === RoundCase::SINGLE ? [] : $reading->case->swings->map(static fn (CaseSwing $s): array => ['name' => $reading->case->swingName($s), 'url' => route('read.evidence', [$reading, $s->position], false)])->all(),
            'looks' => $second->of($reading),
        ]);
    }

    public function evidence(Reading $reading, int $swing, EvidencePayload $payload, ReadingSwing $of): JsonResponse
    {
        $recording = $of($reading, $swing);
        $case = $reading->case;
        $filmed = $case->filmViews();

        return response()->json($payload->of($recording, $case->shows_film && $filmed === [], $filmed, $case->shows_trace, static fn (string $view, string $part): string => route('read.film', [$reading, $swing, $view, $part], false)));
    }

    /**
     * The sheet as it is kept now. Asked for by the page once it runs, so that a save still under way when the
     * page was loaded cannot leave it with an older sheet than the server's.
     */
    public function sheet(Reading $reading): JsonResponse
    {
        return response()->json($this->kept($reading->load('calls')));
    }

    public function change(ChangesRequest $request, Reading $reading, SaveChanges $save): JsonResponse
    {
        try {
            $said = $save($reading, $request->string('writer')->value(), $request->changes());
        } catch (ActionException $e) {
            return response()->json(['message' => $e->getMessage(), 'locked' => true], 423);
        }
        // What others did meanwhile, and what stands where something was refused, comes along.
        $sheet = $said['others'] || $said['refused'] !== [] ? ['sheet' => $this->kept(Reading::query()->with('calls')->findOrFail($reading->id))] : [];

        return response()->json([...$said, ...$sheet]);
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

    /** @return array<string, mixed> */
    private function kept(Reading $reading): array
    {
        return [
            'version' => $reading->version,
            'locked' => $reading->handed_in_at !== null,
            'token' => csrf_token(),
            'calls' => (object) $reading->calls->mapWithKeys(static fn (Call $c): array => [$c->fault => array_filter([
                'presence' => $c->presence, 'severity' => $c->severity, 'onset' => $c->onset, 'decision' => $c->decision, 'confidence' => $c->confidence, 'pins' => $c->pins, 'trend' => $c->trend,
            ], static fn ($v): bool => $v !== null)])->all(),
            'causes' => $reading->first_causes,
            'chain' => $reading->chain,
            'cue' => $reading->cue,
            'drill' => $reading->drill === null ? null : array_filter(['key' => $reading->drill, 'stop' => $reading->stop], static fn ($v): bool => $v !== null),
            'miss' => $reading->miss,
            'marks' => (object) $reading->marks,
            'aids' => $reading->aids,
        ];
    }
}
