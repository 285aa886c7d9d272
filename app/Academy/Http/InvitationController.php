<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\AcceptInvitation;
use App\Http\Controller;
use App\Models\Academy;
use App\Models\AccountLink;
use App\Models\Enums\LinkPurpose;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** Where somebody who was invited comes in. */
final class InvitationController extends Controller
{
    use BehindLink;

    public function show(string $token): View|Response
    {
        return $this->behind(
            $token,
            static fn (AccountLink $link): View => view('academy.invited', [
                'token' => $token,
                'person' => $link->user,
                'academy' => Academy::here()->name ?? '',
            ]),
            LinkPurpose::Invite,
        );
    }

    public function store(AcceptRequest $request, string $token, AcceptInvitation $accept): RedirectResponse
    {
        return $this->enter($accept(
            $this->link($token, LinkPurpose::Invite),
            $request->string('name')->trim()->value(),
            $request->string('password')->value(),
        ));
    }
}
