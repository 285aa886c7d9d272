<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use App\Models\User;

/** What the raters of a round are called before one person: by name for the head coach, else only oneself. */
final readonly class RaterNames
{
    /** @var array<int, string> by the member's id */
    private array $names;

    private string $me;

    public bool $open;

    public function __construct(Sitting $round, User $user)
    {
        $this->names = $round
            ->members()
            ->get()
            ->mapWithKeys(static fn (User $u): array => [$u->id => $u->name])
            ->all();
        $this->me = 'u'.$user->id;
        $this->open = $user->isHeadCoach();
    }

    public function name(string $rater): string
    {
        if (! $this->open) {
            return (string) __($this->isMe($rater) ? 'agreement.you' : 'agreement.colleague');
        }

        return $this->names[self::id($rater)] ?? $rater;
    }

    public function isMe(string $rater): bool
    {
        return $rater === $this->me;
    }

    /** Whether what is known of this rater alone may be shown. */
    public function shows(string $rater): bool
    {
        return $this->open || $this->isMe($rater);
    }

    public static function id(string $rater): int
    {
        return (int) substr($rater, 1);
    }
}
