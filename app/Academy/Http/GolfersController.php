<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\KeepGolfer;
use App\Academy\Actions\KeepLimit;
use App\Academy\Actions\RecordConsent;
use App\Academy\Actions\WithdrawConsent;
use App\Academy\ConsentPapers;
use App\Academy\Pages\GolferPage;
use App\Academy\Pages\GolfersPage;
use App\Academy\Pages\HeldPage;
use App\Http\Controller;
use App\Models\ConsentPaper;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Undo\Undos;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** Golfers: who they are here, what they agree to, what their bodies are to be spared. */
final class GolfersController extends Controller
{
    public function index(GolfersRequest $request, GolfersPage $page): View
    {
        return view('academy.golfers', $page->of($request->filter(), $this->user()));
    }

    public function store(GolferRequest $request, KeepGolfer $keep): RedirectResponse
    {
        $this->backTo(route('golfers'));
        $golfer = $keep(null, $request->facts(), $this->user());

        return redirect()
            ->route('golfers.show', $golfer)
            ->with('done', (string) __('notices.academy.golfer-taken-up', ['golfer' => $golfer->pseudonym]));
    }

    public function show(Golfer $golfer, GolferPage $page): View
    {
        return view('academy.golfer', $page->of($golfer, $this->user()));
    }

    /** For the golfer, on paper. */
    public function held(Golfer $golfer, HeldPage $page): View
    {
        return view('academy.held', $page->of($golfer, $this->user()));
    }

    public function update(GolferRequest $request, Golfer $golfer, KeepGolfer $keep): RedirectResponse
    {
        return $this->kept($golfer, fn () => $keep(
            $golfer,
            $request->facts(),
            $this->user(),
            $request->string('seen')->value(),
        ), 'kept');
    }

    public function limit(LimitRequest $request, Golfer $golfer, KeepLimit $keep): RedirectResponse
    {
        return $this->kept($golfer, fn () => $keep($golfer, $request->limit(), $this->user()), 'kept');
    }

    public function endLimit(Golfer $golfer, GolferLimit $limit, KeepLimit $keep, Undos $undos): RedirectResponse
    {
        abort_unless($limit->golfer_id === $golfer->id, 404);
        $was = ['limit' => $limit->id, 'ended_on' => $limit->ended_on?->toDateString()];

        return $this->kept($golfer, function () use ($limit, $keep, $undos, $was): void {
            $keep->end($limit, $this->user());
            $undos->offer($this->user(), 'limit', $was);
        }, 'limit-ended');
    }

    public function consent(ConsentRequest $request, Golfer $golfer, RecordConsent $record): RedirectResponse
    {
        return $this->kept($golfer, fn () => $record(
            $golfer,
            $request->scopes(),
            $request->day('given_on'),
            $request->day('expires_on'),
            $request->guardian(),
            $request->paper(),
            $this->user(),
        ), 'consent-recorded');
    }

    public function consents(SeveralConsentsRequest $request, RecordConsent $record, Undos $undos): RedirectResponse
    {
        $to = redirect()->to($this->backTo(route('golfers')));
        $done = $record->several(
            $request->golfers(),
            $request->scopes(),
            $request->day('given_on'),
            $request->day('expires_on'),
            $this->user(),
        );
        if ($done['consents'] !== []) {
            $undos->offer($this->user(), 'consents', $done['consents']);
        }

        return $to
            ->with('done', trans_choice('golfers.several.done', $done['golfers'], ['count' => $done['golfers']]))
            ->with('refused', $done['left'] === []
                ? null
                : (string) __('golfers.several.minors', ['golfers' => implode(', ', $done['left'])]));
    }

    public function withdraw(WithdrawRequest $request, Golfer $golfer, WithdrawConsent $withdraw): RedirectResponse
    {
        return $this->kept(
            $golfer,
            fn () => $withdraw($golfer, $request->scopes(), $this->user()),
            'consent-withdrawn',
        );
    }

    /** The scan of a signed form; to be taken away, never shown within a page. */
    public function paper(Golfer $golfer, ConsentPaper $paper, ConsentPapers $papers): Response
    {
        abort_unless($paper->golfer_id === $golfer->id, 404);
        $this->backTo(route('golfers.show', $golfer));

        return response($papers->open($paper), 200, [
            'Content-Type' => ConsentPapers::TYPES[$paper->kind],
            'Content-Disposition' => "attachment; filename=\"consent-$golfer->id.$paper->kind\"",
        ]);
    }

    private function kept(Golfer $golfer, callable $do, string $notice): RedirectResponse
    {
        $to = redirect()->to($this->backTo(route('golfers.show', $golfer)));
        $do();

        return $to->with('done', (string) __("notices.academy.$notice", ['golfer' => $golfer->pseudonym]));
    }
}
