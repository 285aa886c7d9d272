<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\DropFactor;
use App\Academy\Actions\KeepFactor;
use App\Academy\OneTimeCode;
use App\Http\Controller;
use App\Models\Academy;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** One's own second factor: set up, told its recovery codes once, renewed, ended. */
final class FactorController extends Controller
{
    /** In the session: a secret that is shown and not yet confirmed. */
    private const SHOWN = 'factor-shown';

    public function show(Request $request): View
    {
        $user = $this->user();
        $codes = $request->session()->get('recovery-codes');
        if ($user->hasFactor()) {
            return view('academy.factor', [
                'since' => $user->factor_since?->timezone(Academy::zone())->format('j F Y'),
                'left' => count($user->recovery_codes ?? []),
                'codes' => is_array($codes) ? $codes : [],
            ]);
        }
        $secret = $this->secret($request);

        return view('academy.factor-set-up', [
            'secret' => implode(' ', str_split($secret, 4)),
            'address' => OneTimeCode::address(
                $secret,
                Academy::here()->name ?? (string) __('places.product'),
                $user->email,
            ),
            'owes' => $user->owesFactor(),
        ]);
    }

    public function store(CodeRequest $request, KeepFactor $keep): RedirectResponse
    {
        $this->backTo(route('account.factor'));
        abort_if($this->user()->hasFactor(), 409);
        $codes = $keep($this->user(), $this->secret($request), $request->code());
        $request->session()->forget(self::SHOWN);

        return redirect()->route('account.factor')->with('recovery-codes', $codes);
    }

    public function codes(FactorRequest $request, KeepFactor $keep): RedirectResponse
    {
        abort_unless($this->user()->hasFactor(), 409);

        return redirect()->route('account.factor')->with('recovery-codes', $keep->recovery($this->user()));
    }

    public function destroy(FactorRequest $request, DropFactor $drop): RedirectResponse
    {
        return $this->attempt(
            fn () => $drop($this->user(), $this->user()),
            (string) __('notices.academy.factor-dropped'),
            'account',
        );
    }

    private function secret(Request $request): string
    {
        $shown = $request->session()->get(self::SHOWN);
        if (! is_string($shown)) {
            $shown = OneTimeCode::secret();
            $request->session()->put(self::SHOWN, $shown);
        }

        return $shown;
    }
}
