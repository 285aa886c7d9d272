<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Bench\Pages\TraceTitle;
use App\Bench\Pages\VerdictCurves;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\User;
use App\Practice\FaultTruth;
use App\Practice\Modes;
use App\Practice\PracticeMode;
use App\Practice\WholeCase;
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
        private FaultTruth $truth,
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
            'about' => self::about($answer, $answered || $shows['trace']),
            'made' => $answer->made !== null,
            'traceTitle' => TraceTitle::of($answer->made?->device() ?? $answer->recorded()->deviceClass()),
            'evidence' => $evidence = route('practice.evidence', [$sitting, $answer->place], false),
            'swings' => $this->swings($sitting, $answer, $mode, $evidence),
            'rows' => $mode instanceof WholeCase ? $mode->rows($answer) : [],
            'why' => $this->why($answer, $mode),
            'truth' => $answered ? $this->told($answer, $mode, $user) : null,
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

    /** @return list<array{name: string, url: string}> this swing and those beside it, where there are any */
    private function swings(
        PracticeSitting $sitting,
        PracticeAnswer $answer,
        PracticeMode $mode,
        string $evidence,
    ): array {
        $others = $mode->others($answer);

        return $others === [] ? [] : [
            [
                'name' => (string) __($answer->mode === Mode::Speed ? 'practice.speed.full' : 'practice.made.this'),
                'url' => $evidence,
            ],
            ...array_map(static fn (array $other): array => [
                'name' => $other['name'],
                'url' => route('practice.other', [$sitting, $answer->place, $other['made']], false),
            ], $others),
        ];
    }

    private static function about(PracticeAnswer $answer, bool $device): string
    {
        $made = $answer->made;
        $recording = $answer->recording;
        $hand = $made === null ? $answer->recorded()->golfer->handedness : $made->spec['hand'];

        return implode(' · ', array_filter([
            $made === null ? '' : (string) __('practice.made.simulated'),
            (string) __("bench.about.hand.$hand"),
            $made === null ? "{$answer->recorded()->club}, {$answer->recorded()->swing}" : $made->spec()->club(),
            $device ? Term::device($made?->device() ?? $answer->recorded()->deviceClass()) : '',
            $recording === null ? '' : (string) Term::limits($recording->golfer),
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
    private function told(PracticeAnswer $answer, PracticeMode $mode, User $user): array
    {
        $truth = $mode->truth($answer, $user);

        return [
            ...$truth,
            'right' => $answer->right === true,
            'conditions' => match (true) {
                $truth['fault'] === null => [],
                $answer->made === null => $this->curves->of(
                    $answer->recorded(),
                    $truth['fault'],
                    StandardLenses::DEFAULT,
                ),
                default => VerdictCurves::drawn(
                    $answer->made->evidence(),
                    $answer->made->basis()->measurements,
                    $this->truth->verdict($answer, $truth['fault']),
                ),
            },
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
