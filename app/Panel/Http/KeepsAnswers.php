<?php

declare(strict_types=1);

namespace App\Panel\Http;

use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Of a controller: a panel is asked once more about its cases, one after the other, each answer kept for itself. */
trait KeepsAnswers
{
    /** The case that is asked for, from 1; null for the first that waits. */
    private static function place(Request $request): ?int
    {
        $place = $request->query('place');

        return is_string($place) && ctype_digit($place) && strlen($place) < 5 ? (int) $place : null;
    }

    /** @param  array<string, mixed>|null  $shown  null where nothing is asked of this person */
    private function page(?array $shown): View|RedirectResponse
    {
        return $shown === null
            ? redirect()->route('today')->with('done', (string) __('panel.following.nothing'))
            : view('panel.asked', $shown);
    }

    /**
     * Keeps an answer and goes back to where it stands.
     *
     * @param  string  $at  the page, with the question
     */
    private function kept(Request $request, string $at, callable $keep): RedirectResponse|JsonResponse
    {
        $this->backTo($at);
        $keep();

        return $request->wantsJson()
            ? response()->json(['done' => true])
            : redirect()->to($at)->with('done', (string) __('notices.panel.following-answered'));
    }
}
