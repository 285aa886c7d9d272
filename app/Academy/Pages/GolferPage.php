<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Academy\SeenAs;
use App\Models\Academy;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\User;
use App\Words\Term;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Core\Sight\Scope;

/** One golfer: facts, limits, what was agreed to and until when, and the swings. */
final readonly class GolferPage
{
    public function __construct(private GolferTimeline $line)
    {
    }

    /** @return array<string, mixed> */
    public function of(Golfer $golfer, User $user): array
    {
        $golfer->load(['consents.paper', 'limitsNoted']);
        $person = User::query()->where('golfer_id', $golfer->id)->first();

        return [
            'golfer' => $golfer,
            'seen' => SeenAs::of($golfer),
            'about' => implode(' · ', array_filter([
                (string) __("golfers.hands.$golfer->handedness"),
                $golfer->mayBeMinor() ? (string) __('golfers.minor') : '',
                Term::limits($golfer) ?? '',
            ], self::isSaid(...))),
            'person' => $person?->name,
            'limits' => array_values($golfer->limitsNoted->map(self::limit(...))->all()),
            'scopes' => array_map(static fn (Scope $s): array => self::scope($golfer, $s), Scope::cases()),
            'history' => array_values($golfer->consents
                ->sortByDesc('id')
                ->map(static fn (Consent $c): array => self::consent($golfer, $c))
                ->all()),
            'agreed' => $golfer->consents->contains(static fn (Consent $c): bool => $c->withdrawn_at === null),
            'line' => $this->line->of($golfer, $user),
            'lesson' => null,
            'regions' => self::words('regions', array_column(LimitRegion::cases(), 'value')),
            'sides' => self::words('sides', array_column(LimitSide::cases(), 'value')),
            'severities' => self::words('severities', array_column(LimitSeverity::cases(), 'value')),
            'today' => Academy::today(),
            'inAYear' => now()->timezone(Academy::zone())->addYear()->toDateString(),
        ];
    }

    /**
     * @param  list<string>  $codes
     * @return array<string, string>
     */
    private static function words(string $of, array $codes): array
    {
        $out = [];
        foreach ($codes as $code) {
            $out[$code] = (string) __("limits.$of.$code");
        }

        return $out;
    }

    private static function isSaid(string $text): bool
    {
        return $text !== '';
    }

    /** @return array{id: int, says: string, quiet: bool, more: string} */
    private static function limit(GolferLimit $l): array
    {
        $ended = $l->ended_on !== null && $l->ended_on->toDateString() <= Academy::today();
        $more = array_filter([
            $l->since === null ? '' : (string) __('limits.since', ['date' => $l->since->format('j M Y')]),
            match (true) {
                ! $l->is_cleared => (string) __('limits.not-cleared-yet'),
                $l->cleared_until === null => (string) __('limits.cleared'),
                $l->isClearedNow() => (string) __('limits.cleared-until',
                    ['date' => $l->cleared_until->format('j M Y')]),
                default => (string) __('limits.cleared-was', ['date' => $l->cleared_until->format('j M Y')]),
            },
            $ended ? (string) __('limits.ended', ['date' => $l->ended_on->format('j M Y')]) : '',
            (string) $l->note,
        ], self::isSaid(...));

        return ['id' => $l->id, 'says' => Term::limit($l), 'quiet' => $ended, 'more' => implode(' · ', $more)];
    }

    /** @return array{scope: string, says: string, until: string, holds: bool} */
    private static function scope(Golfer $golfer, Scope $scope): array
    {
        $until = $golfer->consents
            ->filter(static fn (Consent $c): bool => $c->scope === $scope && $golfer->isCoveredBy($c))
            ->max('expires_on');

        return [
            'scope' => $scope->value,
            'says' => (string) __("golfers.scopes.$scope->value"),
            'until' => $until instanceof \DateTimeInterface
                ? (string) __('golfers.until', ['date' => $until->format('j F Y')])
                : (string) __('golfers.not-agreed'),
            'holds' => $until !== null,
        ];
    }

    /** @return array{says: string, paper: ?string, quiet: bool} */
    private static function consent(Golfer $golfer, Consent $c): array
    {
        return [
            'says' => Term::consent($c),
            'paper' => $c->paper === null ? null : route('golfers.paper', [$golfer->id, $c->paper->public_id]),
            'quiet' => ! $golfer->isCoveredBy($c),
        ];
    }
}
