<?php

declare(strict_types=1);

namespace App\Readiness\Http;

use App\Http\Controller;
use App\Models\Enums\TestState;
use App\Models\ReadinessDecision;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\User;
use App\Readiness\Actions\AskForTest;
use App\Readiness\Actions\BeginTest;
use App\Readiness\Actions\Decide;
use App\Readiness\Actions\PutNextCase;
use App\Readiness\Pages\ReadinessPage;
use App\Readiness\Pages\StandingPage;
use App\Readiness\Pages\StatementPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Who is ready for what: standings, tests, decisions and statements. */
final class ReadinessController extends Controller
{
    public function index(ReadinessPage $page): View
    {
        return view('readiness.index', $page->of($this->user()));
    }

    public function show(ReadinessRule $rule, User $person, StandingPage $page): View
    {
        $this->mine($person);

        return view('readiness.show', $page->of($rule, $person, $this->user()));
    }

    public function request(ReadinessRule $rule, AskForTest $ask): RedirectResponse
    {
        abort_if($this->user()->isHeadCoach(), 404);
        $this->backTo(route('readiness.show', [$rule, $this->user()]));
        $ask($this->user(), $rule);

        return redirect()->route('readiness.show', [$rule, $this->user()]);
    }

    public function begin(ReadinessRule $rule, User $person, BeginTest $begin): RedirectResponse
    {
        $this->backTo(route('readiness.show', [$rule, $person]));
        $begin($person, $rule, $this->user());

        return redirect()->route('readiness.show', [$rule, $person]);
    }

    /** A request is declined; a test that runs is stopped. */
    public function end(ReadinessTest $trial, AskForTest $ask, PutNextCase $next): RedirectResponse
    {
        $at = route('readiness.show', [ReadinessPage::current($trial->rule), $trial->user]);
        $this->backTo($at);
        if ($trial->state === TestState::Asked) {
            $ask->decline($trial, $this->user());
        } else {
            $next->stop($trial, $this->user());
        }

        return redirect()->to($at);
    }

    public function decide(
        DecisionRequest $request,
        ReadinessRule $rule,
        User $person,
        Decide $decide,
    ): RedirectResponse {
        $this->backTo(route('readiness.show', [$rule, $person]));
        $decide($person, $rule, $request->kind(), $request->reason(), $this->user(), $request->conditions());

        return redirect()->route('readiness.show', [$rule, $person]);
    }

    public function statement(ReadinessDecision $statement, StatementPage $page): View
    {
        abort_if($statement->code === null, 404);

        return view('readiness.statement', $page->of($statement));
    }

    /** Open to whoever holds a statement: nothing is told without its code. */
    public function verify(Request $request, StatementPage $page): View
    {
        $code = $request->query('code', '');
        $code = is_string($code) ? $code : '';
        $found = $code === '' ? null : StatementPage::byCode($code);

        return view('readiness.verify', [
            'code' => $code,
            'found' => $found === null ? null : $page->of($found),
        ]);
    }

    /** Nobody sees another's, but the head coach. */
    private function mine(User $person): void
    {
        abort_unless($this->user()->isHeadCoach() || $person->is($this->user()), 404);
    }
}
