<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ActionException;
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
    protected function attempt(callable $action, string $done): RedirectResponse
    {
        try {
            $action();
        } catch (ActionException $e) {
            return back()->withInput()->with('refused', $e->getMessage());
        }

        return back()->with('done', $done);
    }
}
