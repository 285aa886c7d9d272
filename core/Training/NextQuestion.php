<?php

declare(strict_types=1);

namespace Core\Training;

use Core\Chance\Chance;
use Core\Remark\Remark;

/**
 * Which question helps a person most now. The fault whose lower end is farthest below the aim comes first, sooner where
 * another is called in its place, but none three times running; of its questions one that is a little above the person
 * (right about three times in four), asked least, there and not there turn about, and of another swing than the last.
 */
final readonly class NextQuestion
{
    /** A fault is good enough where its lower end reaches this. */
    public const AIM = 0.85;

    /** Between these the chance of a right answer teaches most. */
    private const BEST = 0.775;

    /** Fewer answers than this are hardly any. */
    private const FRESH = 4;

    /** Days after which a fault that stood well is due again. */
    private const DUE = 10.0;

    private const RUNNING = 2;

    /** As much as a lower end that lies so much deeper. */
    private const CONFUSED = 0.08;

    private function __construct(public Question $question, public Remark $why)
    {
    }

    /**
     * @param  list<Question>  $questions
     * @param  array<string, Skill>  $skills  by fault
     * @param  list<Question>  $before  asked in this sitting, in order
     * @param  array<string, string>  $confused  by fault, what this person calls in its place
     * @return self|null null where there is nothing to ask
     */
    public static function of(array $questions, array $skills, array $before, array $confused, Chance $chance): ?self
    {
        $last = $before === [] ? null : $before[count($before) - 1];
        $open = array_values(array_filter(
            $questions,
            static fn (Question $q): bool => $q->swing !== $last?->swing && isset($skills[$q->fault]),
        ));
        $tired = self::running($before);
        $rested = array_values(array_filter($open, static fn (Question $q): bool => $q->fault !== $tired));
        $open = $rested === [] ? $open : $rested;
        if ($open === []) {
            return null;
        }
        $needs = [];
        foreach ($open as $question) {
            $needs[$question->fault] ??= self::need($skills[$question->fault])
                + (isset($confused[$question->fault]) ? self::CONFUSED : 0.0);
        }
        $most = max($needs);
        $fault = $chance->shuffled(array_keys(array_filter($needs, static fn (float $n): bool => $n > $most - 1e-9)))[0];
        /** @var non-empty-list<Question> $of the fault was taken from these */
        $of = array_values(array_filter($open, static fn (Question $q): bool => $q->fault === (string) $fault));
        $question = self::fitting($of, $skills[(string) $fault], $before, $chance);

        return new self($question, self::why($skills[(string) $fault], $confused[(string) $fault] ?? null));
    }

    /** How far a fault is below the aim, and a little for what was long ago. */
    private static function need(Skill $skill): float
    {
        return max(0.0, self::AIM - $skill->low()) + 0.002 * min(60.0, $skill->since ?? 60.0);
    }

    /** @param  list<Question>  $before */
    private static function running(array $before): ?string
    {
        $last = array_slice($before, -self::RUNNING);
        $faults = array_unique(array_map(static fn (Question $q): string => $q->fault, $last));

        return count($last) === self::RUNNING && count($faults) === 1 ? $last[0]->fault : null;
    }

    /**
     * @param  non-empty-list<Question>  $of
     * @param  list<Question>  $before
     */
    private static function fitting(array $of, Skill $skill, array $before, Chance $chance): Question
    {
        $turn = null;
        foreach ($before as $asked) {
            $turn = $asked->fault === $skill->fault ? ! $asked->present : $turn;
        }
        $best = null;
        $least = INF;
        foreach ($chance->shuffled($of) as $question) {
            $cost = abs($skill->chance($question->difficulty) - self::BEST) + 0.15 * $question->asked
                + ($turn !== null && $question->present !== $turn ? 0.2 : 0.0);
            if ($cost < $least) {
                [$best, $least] = [$question, $cost];
            }
        }

        return $best ?? $of[0];
    }

    private static function why(Skill $skill, ?string $other): Remark
    {
        return match (true) {
            $other !== null => Remark::of(Reason::Confused, fault: $skill->fault, other: $other),
            $skill->answers < self::FRESH => Remark::of(Reason::Fresh, fault: $skill->fault),
            $skill->low() < self::AIM && $skill->chance() < self::AIM => Remark::of(
                Reason::Weak,
                fault: $skill->fault,
                low_percent: 100.0 * $skill->low(),
            ),
            ($skill->since ?? 0.0) >= self::DUE => Remark::of(
                Reason::Due,
                fault: $skill->fault,
                days: $skill->since ?? 0.0,
            ),
            default => Remark::of(Reason::Kept, fault: $skill->fault),
        };
    }
}
