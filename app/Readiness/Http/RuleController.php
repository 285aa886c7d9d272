<?php

declare(strict_types=1);

namespace App\Readiness\Http;

use App\Http\Controller;
use App\Models\ReadinessRule;
use App\Readiness\Actions\KeepRule;
use App\Readiness\Pages\RulePage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The rules of readiness: built, looked at beside the staff, changed in versions, laid down. */
final class RuleController extends Controller
{
    public function create(RulePage $page): View
    {
        return view('readiness.rule', $page->of(null, $this->user()));
    }

    public function show(ReadinessRule $rule, RulePage $page): View
    {
        return view('readiness.rule', $page->of($rule, $this->user()));
    }

    public function store(RuleRequest $request, KeepRule $keep): RedirectResponse
    {
        $rule = $keep($request->name(), $request->device(), $request->lens(), $request->rule(), $this->user());

        return redirect()->route('readiness.rules.show', $rule);
    }

    public function update(RuleRequest $request, ReadinessRule $rule, KeepRule $keep): RedirectResponse
    {
        $this->backTo(route('readiness.rules.show', $rule));
        $kept = $keep($request->name(), $request->device(), $request->lens(), $request->rule(), $this->user(), $rule);

        return redirect()->route('readiness.rules.show', $kept);
    }

    public function retire(ReadinessRule $rule, KeepRule $keep): RedirectResponse
    {
        $keep->retire($rule, $this->user());

        return redirect()->route('readiness');
    }
}
