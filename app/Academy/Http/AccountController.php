<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\AskAddressChange;
use App\Academy\Actions\ChangePassword;
use App\Academy\Actions\EndPerson;
use App\Academy\Actions\RenamePerson;
use App\Academy\OwnSessions;
use App\Academy\Pages\AccountPage;
use App\Http\Controller;
use App\Models\Enums\UserState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** A person's own place: name, address, password, where they are logged in, and the way out. */
final class AccountController extends Controller
{
    public function show(Request $request, AccountPage $page): View
    {
        return view('academy.account', $page->of($this->user(), $request->session()->getId()));
    }

    public function update(NameRequest $request, RenamePerson $rename): RedirectResponse
    {
        return $this->attempt(
            fn () => $rename($this->user(), $request->string('name')->trim()->value()),
            (string) __('notices.academy.kept'),
            'account',
        );
    }

    public function password(PasswordRequest $request, ChangePassword $change): RedirectResponse
    {
        return $this->attempt(
            fn () => $change(
                $this->user(),
                $request->string('password')->value(),
                $request->session()->getId(),
            ),
            (string) __('notices.academy.password-changed-here'),
            'account',
        );
    }

    public function address(AddressRequest $request, AskAddressChange $ask): RedirectResponse
    {
        return $this->attempt(
            fn () => $ask($this->user(), $request->string('email')->trim()->value()),
            (string) __('notices.academy.address-asked'),
            'account',
        );
    }

    public function end(Request $request, OwnSessions $sessions, string $session): RedirectResponse
    {
        return $this->attempt(
            fn () => $session === 'others'
                ? $sessions->endAll($this->user(), $request->session()->getId())
                : $sessions->end($this->user(), $session),
            (string) __('notices.academy.session-ended'),
            'account',
        );
    }

    public function leave(LeaveRequest $request, EndPerson $end): RedirectResponse
    {
        $this->backTo(route('account'));
        $end($this->user(), UserState::Left, false, $this->user());
        Auth::logout();
        $request->session()->invalidate();

        return redirect()->route('login')->with('done', (string) __('notices.academy.left'));
    }
}
