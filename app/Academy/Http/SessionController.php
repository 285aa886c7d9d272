<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\CheckFactor;
use App\Http\Controller;
use App\Models\Academy;
use App\Models\Enums\UserState;
use App\Models\User;
use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** In and out: address and password, then a code where the person has a second factor. */
final class SessionController extends Controller
{
    /** In the session: who has given the right password and still owes a code, and until when. */
    public const OWES = 'owes-code';

    private const MINUTES = 10;

    public function create(): View
    {
        return view('academy.login', ['academy' => Academy::here()->name ?? '']);
    }

    public function store(LoginRequest $request): RedirectResponse
    {
        $user = $this->asked($request);
        if ($user === null) {
            throw ValidationException::withMessages(['email' => (string) __('login.refused')]);
        }
        if ($user->hasFactor()) {
            $request->session()->regenerate();
            $request->session()->put(self::OWES, [$user->id, now()->addMinutes(self::MINUTES)->getTimestamp()]);

            return redirect()->route('login.code');
        }

        return $this->enter($request, $user);
    }

    public function code(Request $request): View|RedirectResponse
    {
        return $this->owing($request) === null ? redirect()->route('login') : view('academy.login-code');
    }

    public function check(CodeRequest $request, CheckFactor $check): RedirectResponse
    {
        $user = $this->owing($request);
        if ($user === null) {
            return redirect()->route('login')->with('refused', (string) __('login.too-late'));
        }
        if (! $check($user, $request->code())) {
            throw ValidationException::withMessages(['code' => (string) __('login.code.refused')]);
        }

        return $this->enter($request, $user);
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/login');
    }

    /** The guard takes as long over an address that nobody has. */
    private function asked(LoginRequest $request): ?User
    {
        $guard = Auth::guard();
        if (! $guard instanceof SessionGuard || ! $guard->validate($request->credentials())) {
            return null;
        }
        $user = $guard->getLastAttempted();

        return $user instanceof User && $user->state === UserState::Active ? $user : null;
    }

    private function owing(Request $request): ?User
    {
        $owes = $request->session()->get(self::OWES);
        if (! is_array($owes) || ! is_int($owes[1] ?? null) || $owes[1] < now()->getTimestamp()) {
            return null;
        }
        $user = User::query()->whereKey($owes[0])->first();

        return $user?->isActive() === true ? $user : null;
    }

    private function enter(Request $request, User $user): RedirectResponse
    {
        $request->session()->forget(self::OWES);
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->intended('/');
    }
}
