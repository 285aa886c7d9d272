<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Words\Term;
use Core\Codebook\Observability;
use Core\Trace\DeviceClass;
use Core\Training\Question;

/** Whether a fault can be seen at all in what is shown of a swing: film, trace or both, of one device or another. */
final readonly class CanItBeSeen implements PracticeMode
{
    private const WAYS = ['film' => [true, false], 'trace' => [false, true], 'both' => [true, true]];

    /** Of so many swings. */
    private const SWINGS = 16;

    public function __construct(
        private PracticeSwings $swings,
        private Codebooks $codebooks,
        private FaultTruth $truth,
    ) {
    }

    public function questions(User $user, ?string $fault): array
    {
        $faults = $this->codebooks->current()->faults;
        if ($fault !== null) {
            $faults = array_intersect_key($faults, [$fault => true]);
        }
        $out = [];
        foreach (array_slice($this->swings->of($user), 0, self::SWINGS, true) as $place) {
            $recording = $place->recording;
            foreach (self::WAYS as $way => [$film, $trace]) {
                $shown = PracticeSwings::shown($place, $film, $trace);
                $skill = $trace ? "$recording->device_class $way" : $way;
                foreach ($faults as $key => $of) {
                    $out[] = new Question(
                        "$recording->id $way $key",
                        (string) $recording->id,
                        $skill,
                        $of->observability($shown)->supports(),
                    );
                }
            }
        }

        return $out;
    }

    public function put(Question $question): array
    {
        [$recording, $way, $fault] = explode(' ', $question->id);

        return [
            'recording_id' => (int) $recording,
            'fault' => $fault,
            'key_entry_id' => null,
            'topic' => ['way' => $way],
        ];
    }

    public function skillName(string $skill): string
    {
        [$device, $way] = [...explode(' ', $skill, 2), ''];

        return $way === ''
            ? (string) __("agreement.arms.$device")
            : (string) __('practice.seen.skill', [
                'device' => Term::device(DeviceClass::from($device)),
                'way' => (string) __("agreement.arms.$way"),
            ]);
    }

    public function asks(PracticeAnswer $answer): array
    {
        $fault = $this->truth->fault((string) $answer->fault);

        return [
            'title' => ucfirst($fault->name),
            'asks' => (string) __('practice.seen.asks', [
                'way' => (string) __('agreement.arms.'.self::way($answer)),
                'device' => self::way($answer) === 'film' ? '' : Term::device($answer->recorded()->deviceClass()),
            ]),
            'look' => $fault->lookFor,
            'station' => $fault->station->value,
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        return array_map(static fn (Observability $o): array => [
            'value' => $o->value,
            'label' => (string) __('practice.seen.options.'.str_replace(' ', '-', $o->value)),
        ], Observability::cases());
    }

    public function shows(PracticeAnswer $answer): array
    {
        [$film, $trace] = self::WAYS[self::way($answer)];

        return ['film' => $film, 'trace' => $trace, 'stations' => true];
    }

    public function others(PracticeAnswer $answer): array
    {
        return [];
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        if (Observability::tryFrom($said) === null) {
            throw ActionException::because('refusals.practice.no-answer');
        }

        return ['right' => $said === $this->is($answer, self::way($answer))->value, 'off_ms' => null];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $words = static fn (Observability $o): string => (string) __(
            'practice.seen.options.'.str_replace(' ', '-', $o->value),
        );
        $is = $this->is($answer, self::way($answer));
        $lines = [];
        foreach (array_keys(self::WAYS) as $way) {
            $lines[] = (string) __('practice.seen.in', [
                'way' => ucfirst((string) __("agreement.arms.$way")),
                'is' => $words($this->is($answer, $way)),
            ]);
        }

        return [
            'head' => (string) __($answer->right === true ? 'practice.seen.right' : 'practice.seen.wrong', [
                'label' => $words($is),
                'said' => $words(Observability::from((string) $answer->said)),
            ]),
            'lines' => $lines,
            'fault' => null,
            'reasons' => [],
            'beside' => null,
            'notes' => [(string) __('practice.seen.note')],
        ];
    }

    /** @return key-of<self::WAYS> */
    private static function way(PracticeAnswer $answer): string
    {
        $way = $answer->topic['way'] ?? '';

        return is_string($way) && isset(self::WAYS[$way]) ? $way : 'both';
    }

    /** @param  key-of<self::WAYS>  $way */
    private function is(PracticeAnswer $answer, string $way): Observability
    {
        return $this->truth->fault((string) $answer->fault)
            ->observability(PracticeSwings::ofRecording($answer->recorded(), ...self::WAYS[$way]));
    }
}
