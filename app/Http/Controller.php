<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\ActionException;
use App\Models\Enums\WorkState;
use App\Models\User;
use App\Models\Work;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Auth;

abstract class Controller
{
    protected function user(): User
    {
        $user = Auth::user();

        return $user instanceof User ? $user : abort(401);
    }

    /** Runs an action and goes back with what it did, or with why it was refused. */
    protected function attempt(callable $action, string $done, ?string $route = null): RedirectResponse
    {
        // Pages that fetch while they stand are named: "back" would be what they fetched last.
        $to = $route === null ? back() : redirect()->route($route);
        try {
            $action();
        } catch (ActionException $e) {
            return $to->withInput()->with('refused', $e->getMessage());
        }

        return $to->with('done', $done);
    }

    /**
     * Asks for long work and goes back, with what came of it where it is over already.
     *
     * @param  callable(): ?Work  $for
     */
    protected function ask(callable $for, string $done): RedirectResponse
    {
        try {
            $work = $for();
        } catch (ActionException $e) {
            return back()->with('refused', $e->getMessage());
        }

        return match ($work?->state) {
            null => back()->with('done', $done),
            WorkState::Done => back()->with('done', $done),
            WorkState::Failed => back()->with('refused', (string) $work->problem),
            default => back(),
        };
    }
}
