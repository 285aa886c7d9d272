<?php

declare(strict_types=1);

namespace App\Practice;

use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\PracticeAnswer;
use App\Models\Recording;
use App\Models\User;
use App\Words\Term;
use Core\Motion\Station;
use Core\Number\Written;
use Core\Training\Question;
use Illuminate\Database\Eloquent\Collection;

/** The top of the swing, or impact, to the frame: the stations are not shown, and a moment is the answer. */
final readonly class ToTheFrame implements PracticeMode
{
    /** Counted as found within so many ms, beyond what the recording itself does not know. */
    public const WITHIN = ['TP' => 30.0, 'IM' => 10.0];

    public function __construct(private PracticeSwings $swings)
    {
    }

    public function questions(User $user, ?string $fault): array
    {
        $out = [];
        $places = new Collection($this->swings->of($user));
        $places->loadMissing('recording.stations');
        foreach ($places as $place) {
            $recording = $place->recording;
            foreach (array_keys(self::WITHIN) as $code) {
                // What is not known to the frame cannot be asked to the frame.
                $mark = $recording->effectiveStations()->get($code);
                if ($mark !== null && 1000.0 * $mark->uncertainty_s <= self::WITHIN[$code]) {
                    $out["$recording->id $code"] = new Question("$recording->id $code", (string) $recording->id, $code, true);
                }
            }
        }

        return array_values($out);
    }

    public function put(Question $question): array
    {
        return [
            'recording_id' => (int) $question->swing,
            'fault' => null,
            'key_entry_id' => null,
            'topic' => ['station' => $question->fault],
        ];
    }

    public function skillName(string $skill): string
    {
        return Term::station(Station::from($skill));
    }

    public function asks(PracticeAnswer $answer): array
    {
        $station = self::station($answer);

        return [
            'title' => ucfirst(Term::station($station)),
            'asks' => (string) __('practice.moment.asks', ['station' => Term::station($station)]),
            'look' => (string) __("practice.moment.look.$station->value"),
            'station' => null,
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        return [];
    }

    public function shows(PracticeAnswer $answer): array
    {
        return ['film' => true, 'trace' => true, 'stations' => false];
    }

    public function others(PracticeAnswer $answer): array
    {
        return [];
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        [$at, $within] = self::true($answer);
        $t = is_numeric($said) ? (float) $said : INF;
        $recording = $answer->recorded();
        $end = $recording->t0 + $recording->samples / $recording->rate_hz;
        if ($t < $recording->t0 - 1.0 || $t > $end + 1.0) {
            throw ActionException::because('refusals.practice.no-answer');
        }
        $off = 1000.0 * ($t - $at);

        return ['right' => abs($off) <= $within + 1e-6, 'off_ms' => round($off, 3)];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        [$at, $within, $unsure] = self::true($answer);
        $off = $answer->off_ms ?? 0.0;
        $station = self::station($answer);
        $says = match (true) {
            abs($off) < 0.5 => 'exact',
            $off > 0.0 => 'late',
            default => 'early',
        };

        return [
            'head' => (string) __("practice.moment.$says", [
                'ms' => Written::fixed(abs($off), 0),
                'found' => (string) __('practice.moment.'.($answer->right === true ? 'found' : 'missed')),
            ]),
            'lines' => [(string) __('practice.moment.true', [
                'station' => ucfirst(Term::station($station)),
                't' => Written::fixed($at, 3),
                'unsure' => Written::fixed($unsure, 1),
                'within' => Written::fixed($within, 0),
            ])],
            'fault' => null,
            'reasons' => [['says' => (string) __('practice.moment.yours'), 'at' => (float) $answer->said]],
            'beside' => null,
            'notes' => [],
        ];
    }

    private static function station(PracticeAnswer $answer): Station
    {
        return Station::from(Cell::text($answer->topic['station'] ?? ''));
    }

    /** @return array{float, float, float} when it is, s; counted as found within, and not known to, ms */
    private static function true(PracticeAnswer $answer): array
    {
        /** @var Recording $recording */
        $recording = $answer->recorded()->loadMissing('stations');
        $code = self::station($answer)->value;
        $mark = $recording->effectiveStations()->get($code) ?? abort(410);
        $unsure = 1000.0 * $mark->uncertainty_s;

        return [$mark->t_s, (self::WITHIN[$code] ?? 0.0) + $unsure, $unsure];
    }
}
