<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\ConfirmAddress;
use App\Http\Controller;
use App\Models\AccountLink;
use App\Models\Enums\LinkPurpose;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** Where an address says yes to a change. */
final class AddressController extends Controller
{
    use BehindLink;

    private const FOR = [LinkPurpose::AddressFrom, LinkPurpose::AddressTo];

    public function show(string $token): View|Response
    {
        return $this->behind(
            $token,
            static fn (AccountLink $link): View => view('academy.address', [
                'token' => $token,
                'purpose' => $link->purpose->value,
                'email' => $link->email,
            ]),
            ...self::FOR,
        );
    }

    public function store(string $token, ConfirmAddress $confirm): RedirectResponse
    {
        $changed = $confirm($this->link($token, ...self::FOR));

        return redirect()
            ->route('login')
            ->with('done', (string) __('notices.academy.address-'.($changed ? 'changed' : 'half')));
    }
}
