<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Links;
use App\Models\AccountLink;
use App\Models\Enums\LinkPurpose;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;

/** What the pages behind a letter's link have in common: a link that is used, old or unknown is answered alike. */
trait BehindLink
{
    public function __construct(private readonly Links $links)
    {
    }

    /** @param  callable(AccountLink): View  $page */
    private function behind(string $token, callable $page, LinkPurpose ...$for): View|Response
    {
        $link = $this->links->find($token, ...$for);

        return $link === null ? response()->view('academy.link-over', [], 404) : $page($link);
    }

    private function link(string $token, LinkPurpose ...$for): AccountLink
    {
        return $this->links->find($token, ...$for) ?? abort(404);
    }

    /** Whoever was logged in here before is not any more. */
    private function enter(User $user): RedirectResponse
    {
        Auth::logout();
        request()->session()->invalidate();
        Auth::login($user);
        request()->session()->regenerate();
        // Whoever has just chosen a password has said who they are.
        FreshController::begins(request());

        return redirect()->route('today');
    }
}
