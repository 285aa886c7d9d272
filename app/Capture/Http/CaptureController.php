<?php

declare(strict_types=1);

namespace App\Capture\Http;

use App\Capture\Actions\CheckDevice;
use App\Capture\Actions\KeepCaughtSwing;
use App\Capture\Actions\LeaveCaughtSwing;
use App\Capture\Actions\RegisterDevice;
use App\Capture\Actions\RenewToken;
use App\Capture\Actions\RevokeDevice;
use App\Capture\Pages\CaptureLive;
use App\Http\Controller;
use App\Models\CaptureSession;
use App\Models\CaughtSwing;
use App\Models\Device;
use App\Models\Golfer;
use App\Shelf\Pages\FactsPage;
use Core\Sight\Scope;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Session\NullSessionHandler;

/** Live devices: watch what they send, and put the swings the program caught on the Shelf. */
final class CaptureController extends Controller
{
    public function index(): View
    {
        return view('capture.live', [
            'devices' => Device::query()->whereNull('revoked_at')->orderBy('name')->get(),
            'limits' => ConstantErrors::LIMITS,
            'classes' => DeviceClass::cases(),
            'session' => CaptureSession::query()
                ->with('device')
                ->orderByRaw('closed_at is null desc')
                ->orderByDesc('id')
                ->first(),
            ...FactsPage::choices(),
            'golfers' => Golfer::query()->consenting(Scope::Lessons, Scope::StaffTraining)->orderBy('pseudonym')->get(),
        ]);
    }

    public function live(CaptureSession $session, CaptureLive $live): JsonResponse
    {
        // Asked for many times a second beside everything else: it must not write over what another request left in the
        // session.
        session()->setHandler(new NullSessionHandler);

        return response()->json($live->of($session->load('device'), $this->user()));
    }

    public function arm(Request $request, CaptureSession $session): JsonResponse
    {
        $session->update(['armed' => $request->boolean('armed')]);

        return response()->json(['armed' => $session->armed]);
    }

    public function keep(KeepSwingRequest $request, CaughtSwing $swing, KeepCaughtSwing $keep): RedirectResponse
    {
        return $this->attempt(
            fn () => $keep(
                $swing,
                $request->golfer(),
                $request->facts(),
                $this->user(),
            ),
            (string) __('notices.capture.on-shelf'),
            'capture',
        );
    }

    public function leave(CaughtSwing $swing, LeaveCaughtSwing $leave): RedirectResponse
    {
        $leave($swing, $this->user());

        return redirect()->route('capture')->with('done', (string) __('notices.capture.left'));
    }

    public function register(DeviceRequest $request, RegisterDevice $register): RedirectResponse
    {
        $name = $request->string('name')->value();

        return redirect()
            ->route('capture')
            ->with('token', $register($name, $this->user(), $request->kind()))
            ->with('done', (string) __('notices.capture.token-shown-once', ['name' => $name]));
    }

    public function check(DeviceErrorsRequest $request, Device $device, CheckDevice $check): RedirectResponse
    {
        return $this->attempt(
            fn () => $check($device, $request->stated(), $this->user()),
            (string) __('notices.capture.checked', ['device' => $device->name]),
            'capture',
        );
    }

    public function renew(Device $device, RenewToken $renew): RedirectResponse
    {
        return redirect()
            ->route('capture')
            ->with('token', $renew($device, $this->user()))
            ->with('done', (string) __('notices.capture.token-renewed', ['name' => $device->name]));
    }

    public function revoke(Device $device, RevokeDevice $revoke): RedirectResponse
    {
        $revoke($device, $this->user());

        return redirect()->route('capture')->with('done', (string) __('notices.capture.no-longer-send', [
            'device' => $device->name,
        ]));
    }
}
