<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\Training\Answer;
use Core\Training\Learner;
use Core\Training\NextQuestion;
use Core\Training\Question;

/**
 * People with planted weaknesses practise, by the program's choice of questions and by others, and learn as
 * SlippingLearner does: what is asked, and how much better they are for it.
 */
final class TrainingStudy
{
    /** Known to so much: a planted weakness, and the rest. */
    private const WEAK = 0.1;

    private const SOUND = 0.9;

    /** A weakness known less than this is left. */
    private const LEFT = 0.7;

    /** @param  list<string>  $faults */
    public function __construct(
        private readonly array $faults,
        private readonly int $weaknesses = 4,
        private readonly int $swings = 14,
        private readonly int $perSitting = 10,
    ) {
    }

    /**
     * One person who was first tested in a round and then answers so many questions, a sitting a day.
     *
     * @param  'model'|'random'|'fixed'  $by  who chooses
     * @return array{hit: ?float, found: float, gain: float} hit: of the questions asked while a planted weakness was
     *     left, the share about one that was; found: of the planted weaknesses, the share practised at least three
     *     times; gain: how much likelier a right answer is afterwards, over all faults, per answer
     */
    public function person(string $seed, string $by, int $answers): array
    {
        $chance = new Chance("training|$seed");
        $weak = array_fill_keys(array_slice($chance->shuffled($this->faults), 0, $this->weaknesses), self::WEAK);
        $began = [...array_fill_keys($this->faults, self::SOUND), ...$weak];
        $learner = new SlippingLearner($began, new Chance("learner|$seed|$by"));
        $said = $this->tested($learner);
        $at = $learner->chance();
        $before = [];
        $hits = $chances = 0;
        $asked = array_map(static fn (): int => 0, $weak);
        for ($i = 0; $i < $answers; $i++) {
            if ($i % $this->perSitting === 0) {
                $learner->sleeps();
                $before = [];
            }
            $day = 1.0 + intdiv($i, $this->perSitting);
            $question = $this->chosen($by, $i, $said, $day, $before, $chance);
            $left = array_filter(
                array_intersect_key($learner->knows, $weak),
                static fn (float $knows): bool => $knows < self::LEFT,
            );
            $chances += $left === [] ? 0 : 1;
            $hits += isset($left[$question->fault]) ? 1 : 0;
            $said[] = new Answer($question->fault, $learner->answers($question->fault), $day);
            $before[] = $question;
            if (isset($asked[$question->fault])) {
                $asked[$question->fault]++;
            }
        }

        return [
            'hit' => $chances === 0 ? null : (float) $hits / $chances,
            'found' => (float) count(array_filter($asked, static fn (int $n): bool => $n >= 3)) / max(1, count($asked)),
            'gain' => ($learner->chance() - $at) / $answers,
        ];
    }

    /** @return list<Answer> of a round: every fault in every swing, nothing told */
    private function tested(SlippingLearner $learner): array
    {
        $out = [];
        for ($swing = 0; $swing < $this->swings; $swing++) {
            foreach ($this->faults as $fault) {
                $out[] = new Answer($fault, $learner->answers($fault, false), 0.0, 0.0, false);
            }
        }

        return $out;
    }

    /**
     * @param  list<Answer>  $said
     * @param  list<Question>  $before
     */
    private function chosen(string $by, int $i, array $said, float $day, array $before, Chance $chance): Question
    {
        $all = [];
        foreach ($this->faults as $fault) {
            for ($swing = 0; $swing < $this->swings; $swing++) {
                $all[] = new Question("$fault $swing", "s$swing", $fault, $swing % 3 === 0);
            }
        }
        if ($by === 'fixed') {
            return $all[($i * $this->swings + $i) % count($all)];
        }
        if ($by === 'random') {
            return $all[$chance->between(0, count($all) - 1)];
        }

        return NextQuestion::of($all, Learner::skills($said, $this->faults, $day), $before, [], $chance)->question
            ?? $all[0];
    }
}
