<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\ResetPassword;
use App\Academy\Actions\SendReset;
use App\Http\Controller;
use App\Models\Enums\LinkPurpose;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** A forgotten password: a letter is asked for, and its link chooses another one. */
final class ResetController extends Controller
{
    use BehindLink;

    public function forgotten(): View
    {
        return view('academy.forgotten');
    }

    public function send(ForgottenRequest $request, SendReset $send): RedirectResponse
    {
        $email = $request->string('email')->trim()->value();
        // After the answer: how long a letter takes would tell whether there is anybody to send it to.
        defer(static fn () => $send($email));

        return redirect()->route('login')->with('done', (string) __('notices.academy.reset-asked'));
    }

    public function show(string $token): View|Response
    {
        return $this->behind(
            $token,
            static fn (): View => view('academy.reset', ['token' => $token]),
            LinkPurpose::Reset,
        );
    }

    public function store(ResetRequest $request, string $token, ResetPassword $reset): RedirectResponse
    {
        $reset($this->link($token, LinkPurpose::Reset), $request->string('password')->value());

        return redirect()->route('login')->with('done', (string) __('notices.academy.password-changed'));
    }
}
