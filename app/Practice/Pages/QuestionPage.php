<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Bench\Pages\TraceTitle;
use App\Bench\Pages\VerdictCurves;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\Recording;
use App\Models\User;
use App\Practice\Modes;
use App\Practice\PracticeMode;
use App\Words\Term;
use App\Words\Wording;
use Core\Codebook\StandardLenses;
use Core\Format\Json\RemarkJson;
use Core\Motion\Station;
use Core\Training\Mode;

/** A question of practice; once it is answered, what is true, why, and what to look at. */
final readonly class QuestionPage
{
    public function __construct(
        private Modes $modes,
        private Wording $words,
        private VerdictCurves $curves,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(PracticeSitting $sitting, PracticeAnswer $answer, User $user): array
    {
        $mode = $this->modes->of($answer->mode);
        $asks = $mode->asks($answer);
        $answered = $answer->answered_at !== null;
        $shows = $mode->shows($answer);
        $station = $answer->mode === Mode::Moment && $answered ? $answer->skill : $asks['station'];

        return [
            'sitting' => $sitting,
            'answer' => $answer,
            'place' => (string) __('practice.place', ['n' => $answer->place, 'of' => $sitting->questions]),
            'title' => $asks['title'],
            'asks' => $asks['asks'],
            'look' => $asks['look'],
            'station' => $station,
            'where' => $station === null ? '' : Term::station(Station::from($station)),
            'options' => self::keyed($mode->options($answer)),
            'film' => $answered || $shows['film'],
            'trace' => $answered || $shows['trace'],
            'about' => self::about($answer->recording, $answered || $shows['trace']),
            'traceTitle' => TraceTitle::ofRecording($answer->recording),
            'evidence' => route('practice.evidence', [$sitting, $answer->place], false),
            'why' => $this->why($answer, $mode),
            'truth' => $answered ? $this->truth($answer, $mode, $user) : null,
            'next' => $this->next($sitting, $answer),
        ];
    }

    /**
     * @param  list<array{value: string, label: string}>  $options
     * @return list<array{value: string, label: string, does: string, key: string}> with what each is called among keys
     */
    private static function keyed(array $options): array
    {
        $own = ['present' => 'P', 'absent' => 'A', 'cannot-tell' => 'C'];

        return array_map(static fn (array $option, int $i): array => [
            ...$option,
            'does' => isset($own[$option['value']]) ? $option['value'] : 'answer-'.($i + 1),
            'key' => $own[$option['value']] ?? (string) ($i + 1),
        ], $options, array_keys($options));
    }

    private static function about(Recording $recording, bool $device): string
    {
        return implode(' · ', array_filter([
            (string) __("bench.about.hand.{$recording->golfer->handedness}"),
            "$recording->club, $recording->swing",
            $device ? Term::device($recording->deviceClass()) : '',
            (string) Term::limits($recording->golfer),
        ], static fn (string $part): bool => $part !== ''));
    }

    private function why(PracticeAnswer $answer, PracticeMode $mode): string
    {
        $why = RemarkJson::read($answer->why);
        $other = $why->with['other'] ?? '';

        return $this->words->say($why, [
            'fault_name' => $mode->skillName($answer->skill),
            'other_name' => is_string($other) && $other !== '' ? $mode->skillName($other) : '',
        ]);
    }

    /** @return array<string, mixed> */
    private function truth(PracticeAnswer $answer, PracticeMode $mode, User $user): array
    {
        $truth = $mode->truth($answer, $user);

        return [
            ...$truth,
            'right' => $answer->right === true,
            'conditions' => $truth['fault'] === null ? []
                : $this->curves->of($answer->recording, $truth['fault'], StandardLenses::DEFAULT),
        ];
    }

    private function next(PracticeSitting $sitting, PracticeAnswer $answer): ?string
    {
        return match (true) {
            $answer->answered_at === null => null,
            $sitting->answers()->where('place', $answer->place + 1)->exists() => route('practice.question', [
                $sitting,
                $answer->place + 1,
            ]),
            default => route('practice'),
        };
    }
}
