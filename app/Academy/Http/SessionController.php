<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\LogIn;
use App\Academy\Attempts;
use App\Http\Controller;
use App\Models\Academy;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** In and out: address and password, then a code where the person has a second factor. */
final class SessionController extends Controller
{
    public function __construct(private readonly Attempts $attempts)
    {
    }

    /** In the session: who has given the right password and still owes a code, and until when. */
    public const OWES = 'owes-code';

    private const MINUTES = 10;

    public function create(): View
    {
        return view('academy.login', ['academy' => Academy::here()->name ?? '']);
    }

    public function store(LoginRequest $request, LogIn $logIn): RedirectResponse
    {
        $this->backTo(route('login'));
        $user = $logIn->password(
            $request->email(),
            $request->string('password')->value(),
            KnownBrowser::caller($request),
        );
        if ($user === null) {
            throw ValidationException::withMessages(['email' => (string) __('login.refused')]);
        }
        if ($user->hasFactor()) {
            $request->session()->regenerate();
            $request->session()->put(self::OWES, [$user->id, now()->addMinutes(self::MINUTES)->getTimestamp()]);

            return redirect()->route('login.code');
        }

        return $this->enter($request, $user, $logIn);
    }

    public function code(Request $request): View|RedirectResponse
    {
        return $this->owing($request) === null ? redirect()->route('login') : view('academy.login-code');
    }

    public function check(CodeRequest $request, LogIn $logIn): RedirectResponse
    {
        $this->backTo(route('login.code'));
        $user = $this->owing($request);
        if ($user === null) {
            return redirect()->route('login')->with('refused', (string) __('login.too-late'));
        }
        if (! $logIn->code($user, $request->code(), KnownBrowser::caller($request))) {
            throw ValidationException::withMessages(['code' => (string) __('login.code.refused')]);
        }

        return $this->enter($request, $user, $logIn);
    }

    public function destroy(Request $request, LogIn $logIn): RedirectResponse
    {
        $logIn->left($this->user());
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/login');
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

    private function enter(Request $request, User $user, LogIn $logIn): RedirectResponse
    {
        $failed = $this->attempts->failedSince($user);
        $logIn->entered($user, KnownBrowser::caller($request));
        $request->session()->forget(self::OWES);
        Auth::login($user);
        $request->session()->regenerate();
        FreshController::begins($request);
        $to = redirect()->intended('/')->withCookie(KnownBrowser::cookie($request, $user));

        return $failed === [] ? $to : $to->with('refused', trans_choice('login.failed-since', count($failed), [
            'count' => count($failed),
            'at' => $failed[0]->at->timezone(Academy::zone())->format('j F, H:i'),
            'from' => $failed[0]->ip,
        ]));
    }
}
