<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\ActionException;
use App\Models\User;
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
}
