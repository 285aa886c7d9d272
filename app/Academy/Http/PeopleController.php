<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\ChangePerson;
use App\Academy\Actions\DropFactor;
use App\Academy\Actions\EndPerson;
use App\Academy\Actions\InvitePerson;
use App\Academy\Actions\KeepGroup;
use App\Academy\Actions\SendReset;
use App\Academy\Actions\WithdrawInvitation;
use App\Academy\Pages\PeoplePage;
use App\Academy\Pages\PersonPlace;
use App\Http\Controller;
use App\Models\Enums\UserState;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Who is at the academy: invite, change, let go. */
final class PeopleController extends Controller
{
    public function index(PeopleRequest $request, PeoplePage $page): View
    {
        return view('academy.people', $page->of($request->filter()));
    }

    public function store(InviteRequest $request, InvitePerson $invite): RedirectResponse
    {
        $this->backTo(route('people'));
        [$person, $url] = $invite(
            $request->string('name')->trim()->value(),
            $request->string('email')->trim()->value(),
            $request->role(),
            $request->boolean('on_panel'),
            $request->groups(),
            $this->user(),
        );

        return $this->linked($person, $url);
    }

    /** Several people into a group, or out of it. */
    public function groups(SeveralPeopleRequest $request, KeepGroup $keep): RedirectResponse
    {
        return $this->attempt(
            fn () => $keep->people($request->group(), $request->people(), $request->isIn(), $this->user()),
            (string) __('notices.academy.kept'),
            'people',
        );
    }

    public function show(User $person, PersonPlace $page): View
    {
        return view('academy.person', $page->of($person, $this->user()));
    }

    public function update(PersonRequest $request, User $person, ChangePerson $change): RedirectResponse
    {
        return $this->changed($person, fn () => $change(
            $person,
            $request->string('name')->trim()->value(),
            $request->role(),
            $request->boolean('on_panel'),
            $request->groups(),
            $request->golfer(),
            $this->user(),
            $request->string('seen')->value(),
        ), 'kept');
    }

    public function again(User $person, InvitePerson $invite): RedirectResponse
    {
        $this->backTo(route('people.show', $person));

        return $this->linked($person, $invite->again($person, $this->user()));
    }

    public function withdraw(User $person, WithdrawInvitation $withdraw): RedirectResponse
    {
        return $this->attempt(
            fn () => $withdraw($person, $this->user()),
            (string) __('notices.academy.invitation-withdrawn', ['name' => $person->name]),
            'people',
        );
    }

    public function end(EndRequest $request, User $person, EndPerson $end): RedirectResponse
    {
        return $this->changed(
            $person,
            fn () => $end($person, UserState::from($request->string('to')->value()), $request->waits(), $this->user()),
            $request->string('to')->value(),
        );
    }

    public function enable(User $person, EndPerson $end): RedirectResponse
    {
        return $this->changed($person, fn () => $end->again($person, $this->user()), 'enabled');
    }

    public function reset(User $person, SendReset $send): RedirectResponse
    {
        return $this->changed($person, fn () => $send($person->email, $this->user()), 'reset-sent');
    }

    public function dropFactor(User $person, DropFactor $drop): RedirectResponse
    {
        return $this->changed($person, fn () => $drop($person, $this->user()), 'factor-of-dropped');
    }

    private function changed(User $person, callable $do, string $notice): RedirectResponse
    {
        $to = redirect()->to($this->backTo(route('people.show', $person)));
        $do();

        return $to->with('done', (string) __("notices.academy.$notice", ['name' => $person->name]));
    }

    /** The link is shown this once, beside the letter that went: not every letter comes. */
    private function linked(User $person, string $url): RedirectResponse
    {
        return redirect()
            ->route('people.show', $person)
            ->with('link', $url)
            ->with('done', (string) __('notices.academy.invited', ['name' => $person->name]));
    }
}
