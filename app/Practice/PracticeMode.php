<?php

declare(strict_types=1);

namespace App\Practice;

use App\Exceptions\ActionException;
use App\Models\PracticeAnswer;
use App\Models\User;
use Core\Training\Question;

/**
 * A kind of question of practice: what may be asked, how an answer is judged, and what is told then.
 *
 * @phpstan-type Truth array{head: string, lines: list<string>, fault: ?string, reasons: list<array{says: string,
 *     at: ?float}>, beside: ?string, notes: list<string>}
 * @phpstan-type Put array{recording_id?: int, made_swing_id?: int, fault: ?string, key_entry_id: ?int,
 *     topic: array<string, mixed>}
 */
interface PracticeMode
{
    /**
     * @param  string|null  $fault  only about this one, where the kind knows faults
     * @return list<Question>
     */
    public function questions(User $user, ?string $fault): array;

    /**
     * What is written down of a question that is put.
     *
     * @return Put
     */
    public function put(Question $question): array;

    /** What a skill is called. */
    public function skillName(string $skill): string;

    /** @return array{title: string, asks: string, look: string, station: ?string} */
    public function asks(PracticeAnswer $answer): array;

    /** @return list<array{value: string, label: string}> none where a moment is asked for */
    public function options(PracticeAnswer $answer): array;

    /** @return array{film: bool, trace: bool, stations: bool} what of the swing is shown before it is answered */
    public function shows(PracticeAnswer $answer): array;

    /** @return list<array{made: int, name: string}> made swings beside it, now: held at the same station */
    public function others(PracticeAnswer $answer): array;

    /**
     * @return array{right: bool, off_ms: ?float}
     *
     * @throws ActionException where it is no answer to this
     */
    public function judged(PracticeAnswer $answer, string $said): array;

    /** @return Truth */
    public function truth(PracticeAnswer $answer, User $user): array;
}
