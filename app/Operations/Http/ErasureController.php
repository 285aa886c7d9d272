<?php

declare(strict_types=1);

namespace App\Operations\Http;

use App\Http\Controller;
use App\Models\Academy;
use App\Models\Erasure;
use App\Models\Golfer;
use App\Operations\Actions\EraseGolfer;
use App\Operations\Actions\KeepToRetention;
use App\Operations\Pages\ErasurePage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Erasing on request and by the academy's rules, each with a receipt. */
final class ErasureController extends Controller
{
    public function golfer(EraseGolferRequest $request, Golfer $golfer, EraseGolfer $erase): RedirectResponse
    {
        $this->backTo(route('golfers.show', $golfer));

        return redirect()->route('erasures.show', $erase($golfer, $request->string('typed')->value(), $this->user()));
    }

    public function show(Erasure $erasure, ErasurePage $page): View
    {
        return view('operations.receipt', $page->receipt($erasure));
    }

    public function index(ErasurePage $page): View
    {
        return view('operations.retention', $page->of(Academy::query()->findOrFail(Academy::ID)));
    }

    public function rules(RetentionRequest $request, KeepToRetention $keep): RedirectResponse
    {
        return $this->attempt(
            fn () => $keep->rules($request->days('consent_days'), $request->days('film_days'), $this->user()),
            (string) __('erasure.rules-kept'),
            'retention',
        );
    }

    public function keep(KeepRetentionRequest $request, KeepToRetention $keep): RedirectResponse
    {
        $this->backTo(route('retention'));

        return redirect()->route('erasures.show', $keep($request->ids('swings'), $request->ids('films'),
            $this->user()));
    }
}
