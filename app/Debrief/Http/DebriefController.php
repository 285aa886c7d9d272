<?php

declare(strict_types=1);

namespace App\Debrief\Http;

use App\Codebook\Codebooks;
use App\Debrief\Pages\Debrief;
use App\Http\Controller;
use App\Models\CaseSwing;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Sight\Onlookers;
use Core\Reading\CaseKind;
use Core\Sight\SittingKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** For the head coach at a projector: what people said of one case after the other, by letter before by name. */
final class DebriefController extends Controller
{
    public function index(): RedirectResponse|View
    {
        $round = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->orderByDesc('published_at')
            ->first();

        return $round === null
            ? view('empty', [
                'title' => 'Debrief',
                'text' => 'When a staff round has been published, its cases stand here in the order of what there is '
                    .'to talk about.',
            ])
            : redirect()->route('debrief.first', $round);
    }

    public function first(Sitting $round): RedirectResponse
    {
        return redirect()->route('debrief', [$round, 1]);
    }

    public function show(Sitting $round, int $place, Debrief $debrief, Codebooks $codebooks, Onlookers $onlookers): View
    {
        if ($onlookers->of($this->user())->withheld($round) !== null) {
            return view('empty', [
                'title' => 'Debrief',
                'text' => 'This debrief waits. A swing of it stands in a round of yours that is not published yet.',
            ]);
        }
        $order = $debrief->order($round, $this->user());
        if ($order->isEmpty()) {
            return view('empty', [
                'title' => 'Debrief',
                'text' => 'No case of this round can be shown: none was read, or the consents have ended.',
            ]);
        }
        $at = $order->get($place - 1) ?? abort(404);
        /** @var SittingCase $case */
        $case = $at['case'];

        return view('debrief.case', [
            'round' => $round,
            'case' => $case,
            'place' => $place,
            'order' => $order,
            'codebook' => $codebooks->of($round),
            'said' => $debrief->of($round, $case),
            'swings' => $case->kind === CaseKind::Single
                    ? []
                    : $case->swings
                        ->map(
                            static fn (CaseSwing $s): array => [
                                'name' => $case->swingName($s),
                                'url' => route('bench.evidence', $s->recording, false),
                            ],
                        )
                        ->all(),
            'rounds' => Sitting::query()
                ->where('kind', SittingKind::Round)
                ->where('state', 'published')
                ->orderByDesc('published_at')
                ->get(),
        ]);
    }
}
