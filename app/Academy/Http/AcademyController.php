<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\ChangeAcademy;
use App\Academy\Actions\ClearSample;
use App\Academy\Actions\KeepGroup;
use App\Http\Controller;
use App\Models\Academy;
use App\Models\Group;
use App\Models\OutboxLetter;
use App\Undo\Rows;
use App\Undo\Undos;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Auth;

/** The academy itself: its name and zone, its groups, its letters, and the sample that can be cleared away. */
final class AcademyController extends Controller
{
    public function show(): View
    {
        return view('academy.academy', [
            'academy' => Academy::query()->findOrNew(Academy::ID),
            'zones' => timezone_identifiers_list(),
            'groups' => Group::query()->withCount('people')->orderBy('kind')->orderBy('name')->get(),
        ]);
    }

    public function update(AcademyRequest $request, ChangeAcademy $change): RedirectResponse
    {
        return $this->attempt(
            fn () => $change(
                $request->string('name')->trim()->value(),
                $request->string('zone')->value(),
                $request->letterhead(),
                $this->user(),
            ),
            (string) __('notices.academy.kept'),
            'academy',
        );
    }

    public function group(GroupRequest $request, KeepGroup $keep, ?Group $group = null): RedirectResponse
    {
        return $this->attempt(
            fn () => $keep($group, $request->kind(), $request->string('name')->trim()->value(), $this->user()),
            (string) __('notices.academy.kept'),
            'academy',
        );
    }

    public function dropGroup(Group $group, KeepGroup $keep, Undos $undos): RedirectResponse
    {
        $was = [Rows::of('groups', ['id' => $group->id]), Rows::of('group_user', ['group_id' => $group->id])];

        return $this->attempt(
            function () use ($group, $keep, $undos, $was): void {
                $keep->drop($group, $this->user());
                $undos->offer($this->user(), 'rows', ['subject' => 'academy', 'parts' => $was]);
            },
            (string) __('notices.academy.group-dropped', ['name' => $group->name]),
            'academy',
        );
    }

    public function clear(ClearRequest $request, ClearSample $clear): RedirectResponse
    {
        $this->backTo(route('academy'));
        $url = $clear($request->string('typed')->value());
        Auth::forgetGuards();
        $request->session()->invalidate();

        return redirect()->to($url);
    }

    public function outbox(): View
    {
        return view('academy.outbox', [
            'letters' => OutboxLetter::query()->orderByDesc('id')->paginate(20),
            'zone' => Academy::zone(),
        ]);
    }
}
