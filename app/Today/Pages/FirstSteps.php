<?php

declare(strict_types=1);

namespace App\Today\Pages;

use App\Models\Enums\UserState;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use Core\Sight\Role;
use Core\Sight\Scope;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;

/** What a new academy does one after the other, until its first round is published. */
final readonly class FirstSteps
{
    /** @return list<array{says: string, more: string, url: string, done: bool}> none where the way has been gone */
    public function of(): array
    {
        if (self::published(SittingKind::Round)) {
            return [];
        }
        $panel = User::query()
            ->where('state', '<>', UserState::Left)
            ->where(static fn (Builder $q) => $q->where('role', Role::Panel)->orWhere('on_panel', true))
            ->count();
        $staff = User::query()->where('state', '<>', UserState::Left)->where('role', Role::Instructor)->count();
        $steps = [
            'people' => [route('people'), $panel >= config()->integer('academy.able') && $staff > 0],
            'golfers' => [route('golfers'), Golfer::query()->consenting(Scope::StaffTraining)->exists()],
            'swings' => [route('shelf').'#add', Recording::query()->exists()],
            'panel' => [route('rounds.plan'), self::published(SittingKind::Panel)],
            'round' => [route('rounds.plan'), false],
        ];

        return array_map(static fn (string $step, array $of): array => [
            'says' => (string) __("today.first.$step.says"),
            'more' => (string) __("today.first.$step.more"),
            'url' => $of[0],
            'done' => $of[1],
        ], array_keys($steps), array_values($steps));
    }

    private static function published(SittingKind $kind): bool
    {
        return Sitting::query()->where('kind', $kind)->where('state', SittingState::Published)->exists();
    }
}
