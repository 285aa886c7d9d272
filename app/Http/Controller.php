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

    /**
     * Where a refusal is told. Pages that fetch while they stand are named: "back" would be what they fetched last.
     *
     * @return string the same address
     */
    protected function backTo(string $url): string
    {
        request()->attributes->set(ExceptionAnswers::BACK_TO, $url);

        return $url;
    }

    /**
     * Runs an action and goes back with what it did.
     *
     * @throws ActionException to be told on that page
     */
    protected function attempt(callable $action, string $done, ?string $route = null): RedirectResponse
    {
        $to = $route === null ? back() : redirect()->to($this->backTo(route($route)));
        $action();

        return $to->with('done', $done);
    }

    /**
     * Asks for long work and goes back, with what came of it where it is over already.
     *
     * @param  callable(): ?Work  $for
     *
     * @throws ActionException to be told on that page
     */
    protected function ask(callable $for, string $done): RedirectResponse
    {
        $work = $for();

        return match ($work?->state) {
            null, WorkState::Done => back()->with('done', $done),
            WorkState::Failed => back()->with('refused', $work->says()),
            default => back(),
        };
    }
}
