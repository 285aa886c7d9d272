<?php

declare(strict_types=1);

namespace App\Agreement\Http;

use App\Agreement\Pages\AdviceBehind;
use App\Agreement\Pages\CallsBehind;
use App\Agreement\Pages\CasePage;
use App\Agreement\Pages\PairBehind;
use App\Agreement\Pages\TimesBehind;
use App\Http\Controller;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Motion\Station;
use Illuminate\Contracts\View\View;

/** What figures of a round were made from: calls, marks and sheets. For who may see everybody's. */
final class BehindController extends Controller
{
    public function __construct(private readonly Onlookers $onlookers)
    {
    }

    /** Everybody's calls on one fault. */
    public function fault(Sitting $round, string $fault, CallsBehind $page): View
    {
        return $this->waits($round) ?? view('agreement.fault', [
            'fault' => $fault,
            ...$page->ofFault($round, $fault, $this->user()),
        ]);
    }

    /** Everybody's calls on one case, and what they would do. */
    public function case(Sitting $round, int $case, CasePage $page): View
    {
        $asked = $round->cases()->whereKey($case)->first() ?? abort(404);

        return $this->waits($round) ?? view('agreement.case', $page->of($round, $asked, $this->user()));
    }

    /** The calls in which two of its readers differ. */
    public function pair(Sitting $round, User $first, User $second, PairBehind $page): View
    {
        abort_unless($round->seats($first) && $round->seats($second) && $first->isNot($second), 404);

        return $this->waits($round) ?? view('agreement.pair', $page->of($round, $first, $second, $this->user()));
    }

    /** Where everybody has marked top or impact. */
    public function times(Sitting $round, string $station, TimesBehind $page): View
    {
        return $this->waits($round)
            ?? view('agreement.marks', $page->of($round, Station::from($station), $this->user()));
    }

    /** What one reader would do, case by case, beside the panel and the ball. */
    public function advice(Sitting $round, User $member, AdviceBehind $page): View
    {
        abort_unless($round->seats($member), 404);

        return $this->waits($round) ?? view('agreement.sheets', $page->of($round, $member, $this->user()));
    }

    /** Figures made from a swing that this person is still to read blind would tell of it: they wait. */
    private function waits(Sitting $round): ?View
    {
        return $this->onlookers->of($this->user())->withheld($round) === null
            ? null
            : view('empty', ['title' => $round->name, 'text' => __('agreement.waits')]);
    }
}
