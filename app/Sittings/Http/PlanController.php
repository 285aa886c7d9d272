<?php

declare(strict_types=1);

namespace App\Sittings\Http;

use App\Http\Controller;
use App\Sittings\Pages\PlanChoices;
use App\Sittings\Pages\PlanPage;
use App\Sittings\Pages\RoundForecast;
use Illuminate\Contracts\View\View;

final class PlanController extends Controller
{
    public function __invoke(PlanRequest $request, PlanPage $page): View
    {
        return view('sittings.plan', $page->of($this->user(), $request->asked(), ChoicesRequest::of('', [
            'recordings' => old('recordings'),
            'series' => old('series'),
            'pairs' => old('pairs'),
            'ladder' => old('ladder'),
        ])));
    }

    /** The recordings that fit what is looked for, as a part of that page. */
    public function choices(ChoicesRequest $request, PlanChoices $choices): View
    {
        return view('sittings.plan.choices', $choices->of($this->user(), $request->chosen()));
    }

    /** What the round as it is ticked will be able to say, as a part of that page. */
    public function forecast(ForecastRequest $request, RoundForecast $forecast): View
    {
        return view('sittings.plan.forecast', $forecast->of(
            $this->user(),
            $request->recordings(),
            $request->integer('several'),
            $request->integer('again'),
            $request->integer('readers'),
        ));
    }
}
