<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Enums\NoticeKind;
use App\Models\Notice;

/** A notice in words, and where it leads. */
final class Worded
{
    public static function says(Notice $notice): string
    {
        $gone = (string) __('told.gone');

        $line = $notice->kind === NoticeKind::Moved && self::isOwn($notice) ? 'moved-own' : $notice->kind->value;

        return (string) __("told.says.$line", [
            'sitting' => $notice->sitting->name ?? $gone,
            'person' => $notice->person->name ?? $gone,
            'golfer' => $notice->golfer?->erased_at === null ? $notice->golfer->pseudonym ?? $gone : $gone,
        ]);
    }

    public static function url(Notice $notice): ?string
    {
        return match ($notice->kind) {
            NoticeKind::Opened, NoticeKind::Due, NoticeKind::Reopened => route('today'),
            NoticeKind::Published => $notice->sitting === null || $notice->sitting->isPanel()
                ? route('today')
                : route('agreement', $notice->sitting),
            NoticeKind::AllIn => $notice->sitting === null ? null : route('rounds.show', $notice->sitting),
            NoticeKind::Came => $notice->person === null ? null : route('people.show', $notice->person),
            NoticeKind::Moved => route(self::isOwn($notice) ? 'practice.progress' : 'checks'),
            NoticeKind::Consents => $notice->golfer === null ? null : route('golfers.show', $notice->golfer),
        };
    }

    private static function isOwn(Notice $notice): bool
    {
        return $notice->person_id === $notice->user_id;
    }
}
