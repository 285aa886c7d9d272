<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Bench\Pages\EvidencePayload;
use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\Call;
use App\Models\Reading;
use App\Models\SittingCase;
use App\Sight\NotNow;
use App\Sight\Onlookers;
use App\Sittings\Actions\HandInReading;
use App\Sittings\Actions\SaveChanges;
use App\Sittings\Pages\ReadingPage;
use App\Sittings\Pages\ReadingSwing;
use App\Sittings\UnsentKeys;
use Core\Reading\Aid;
use Core\Reading\Call as CoreCall;
use Core\Reading\Edit;
use Core\Sight\Sight;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

final class ReadingController extends Controller
{
    public function __construct(private readonly Onlookers $onlookers, private readonly ReadingSwing $swings)
    {
    }

    /** The next case of the reader's open rounds, in the reader's own order. */
    public function next(): RedirectResponse
    {
        session()->reflash();
        $onlooker = $this->onlookers->of($this->user());
        $readings = Reading::query()->where('user_id', $this->user()->id)->whereNull('handed_in_at')
            ->whereHas('case.sitting', fn ($q) => $q->where('state', SittingState::Open)
                ->where('kind', '<>', SittingKind::Review))
            ->with(['arm', 'case.sitting', 'case.swings'])
            ->asRead()
            ->get();
        $onlooker->over($readings->map(static fn (Reading $r): SittingCase => $r->case));
        $reading = $readings->first(static fn (Reading $r): bool => ! $onlooker->ofReading($r)->isNothing());

        return $reading === null
            ? redirect()->route('today')->with('done', (string) __('reading.nothing-waits'))
            : redirect()->route('read', $reading);
    }

    public function show(Reading $reading, ReadingPage $page): View
    {
        $this->look($reading);

        return view('sittings.read', $page->of($reading));
    }

    public function evidence(Reading $reading, int $swing, EvidencePayload $payload): JsonResponse
    {
        $this->look($reading);
        $recording = ($this->swings)($reading, $swing);
        $filmed = $reading->filmViews();
        $url = static fn (string $view, string $part): string => route(
            'read.film',
            [$reading, $swing, $view, $part],
            false,
        );

        return response()->json(
            $payload->of(
                $recording,
                $reading->arm->film && $filmed === [],
                $filmed,
                $reading->arm->trace,
                $url,
                $this->swings->rendition($reading, $recording),
            ),
        );
    }

    /**
     * @return Sight what may be seen of it now
     *
     * @throws NotNow
     */
    private function look(Reading $reading): Sight
    {
        $sight = $this->onlookers->of($this->user())->ofReading($reading);

        return $sight->why === null ? $sight : throw NotNow::because($sight->why);
    }

    /**
     * The sheet as it is kept now. Asked for by the page once it runs, so that a save still under way when the
     * page was loaded cannot leave it with an older sheet than the server's.
     */
    public function sheet(Reading $reading): JsonResponse
    {
        $this->look($reading);

        return response()->json($this->kept($reading->load('calls')));
    }

    /** @throws ActionException */
    public function change(ChangesRequest $request, Reading $reading, SaveChanges $save): JsonResponse
    {
        $this->look($reading);
        $changes = array_map(function (array $c) use ($reading): array {
            $edit = new Edit($c['target'], $c['value']);

            return $edit->tellsTimes()
                ? [...$c, 'value' => $edit->later($this->swings->starts($reading))->value]
                : $c;
        }, $request->changes());
        $said = $save($reading, $request->string('writer')->value(), $changes);
        // What others did meanwhile, and what stands where something was refused, comes along.
        $sheet =
            $said['others'] || $said['refused'] !== []
                ? ['sheet' => $this->kept(Reading::query()->with('calls')->findOrFail($reading->id))]
                : [];

        return response()->json([...$said, ...$sheet]);
    }

    /** @throws ActionException */
    public function handIn(Reading $reading, HandInReading $handIn): RedirectResponse
    {
        $this->look($reading);
        $this->backTo(route('read', $reading));
        $handIn($reading, $this->user());

        $next = $reading->case->sitting->kind === SittingKind::Review ? 'own' : 'read.next';

        return redirect()->route($next)->with('done', (string) __('notices.sittings.handed-locked'));
    }

    /** @return array<string, mixed> the sheet, by the clocks it is shown by */
    private function kept(Reading $reading): array
    {
        $starts = array_map(static fn (float $s): float => -$s, $this->swings->starts($reading));
        $core = $reading->toCore()->later($starts);

        return [
            'version' => $reading->version,
            'locked' => $reading->handed_in_at !== null,
            'token' => csrf_token(),
            'keys' => UnsentKeys::of($reading->user_id),
            'calls' => (object) array_map(
                static fn (CoreCall $c): array => array_filter(
                    array_diff_key(Call::row($c), ['fault' => 0]),
                    static fn ($v): bool => $v !== null && $v !== false,
                ),
                $core->calls,
            ),
            'causes' => $reading->first_causes,
            'chain' => $reading->chain,
            'cue' => $reading->cue,
            'drill' => $reading->drill === null
                    ? null
                    : array_filter(
                        ['key' => $reading->drill, 'stop' => $reading->stop],
                        static fn ($v): bool => $v !== null,
                    ),
            'other-cause' => $reading->other_cause,
            'misses' => (object) $core->misses->percent,
            'breaks' => $reading->breaks,
            'marks' => (object) $core->marks,
            'aids' => array_map(static fn (Aid $a): array => $a->toArray(), $core->aids),
        ];
    }
}
