<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Bench\Pages\CaseLine;
use App\Bench\Pages\TraceTitle;
use App\Codebook\Codebooks;
use App\Models\CaseSwing;
use App\Models\Golfer;
use App\Models\Reading;
use App\Sittings\CaseShown;
use App\Words\LoadedLimits;
use App\Words\Term;
use Core\Codebook\Codebook;
use Core\Codebook\Drill;
use Core\Codebook\Fault;
use Core\Motion\Station;
use Core\Reading\CaseKind;
use Core\Reading\Ladder;
use Core\Reading\Miss;
use Core\Reading\Outside;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Stage;
use Core\Reading\Stop;
use Core\Reading\Turf;
use Illuminate\Support\HtmlString;

/** One case as somebody reads it: what is shown of the swing, and the sheet. */
final readonly class ReadingPage
{
    /** Keys of what a call may be pinned on. */
    private const PIN_KEYS = ['film' => 'F', 'trace' => 'T', 'turf' => 'M', 'ball' => 'J', 'strike' => 'Z'];

    public function __construct(
        private Codebooks $codebooks,
        private SecondLook $second,
        private ReadingSwing $swings,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Reading $reading): array
    {
        $cases = CaseShown::lay($reading);
        $case = $reading->case;
        $case->setRelation('recording', $case->swings->firstOrFail()->recording);
        $outside = self::options('outside', array_column(Outside::cases(), 'value'));
        $codebook = $this->codebooks->of($case->sitting);
        $second = $this->second->of($reading);

        return [
            'reading' => $reading,
            'title' => (string) __('reading.head', ['n' => $reading->position]),
            'of' => (string) __('reading.of', ['count' => $cases]),
            'about' => CaseLine::of($reading),
            'secondLook' => $reading->stage === Stage::Reveal,
            'fetch' => self::fetch($reading),
            'pictures' => $this->pictures($reading),
            'traceTitle' => TraceTitle::ofRecording($case->recording),
            'swings' => self::swingsOf($reading),
            'kind' => $case->kind->value,
            'isSingle' => $case->kind === CaseKind::Single,
            'isPair' => $case->kind === CaseKind::Pair,
            'asWhole' => match ($case->kind) {
                CaseKind::Series => (string) __('reading.series', ['count' => $case->swings->count()]),
                CaseKind::Pair => (string) __('reading.pair'),
                CaseKind::Ladder => trans_choice('reading.ladder', $case->swings->count() - 1),
                CaseKind::Single => null,
            },
            'locked' => $reading->isLocked(),
            'state' => (string) __('reading.'.match (true) {
                ! $reading->isLocked() => 'saved',
                $reading->handed_in_at !== null => 'locked',
                default => 'closed',
            }),
            'outcome' => $second,
            'faults' => array_map(self::fault(...), array_values($codebook->faults)),
            'pins' => self::pins($reading, $second !== null),
            'stations' => self::stations(),
            'drills' => self::drills($codebook, $reading->isLocked(), $case->recording->golfer),
            'stops' => self::options('stops', array_map(static fn (Stop $s): string => $s->value, Stop::cases())),
            'misses' => self::options(
                'misses',
                array_column(array_filter(Miss::cases(), static fn (Miss $m): bool => $m !== Miss::None), 'value'),
            ),
            'define' => (string) __('reading.define'),
            // The same for every fault: written once.
            'choices' => self::choices($case->kind === CaseKind::Pair),
            'outsideOptions' => new HtmlString(view('sittings.read.outside', ['outside' => $outside])->render()),
            'outsideNames' => [
                ...$outside,
                CoreReading::NOT_IN_THE_FEET => (string) __('reading.not-in-the-feet'),
            ],
            'turf' => self::options('turf', array_column(Turf::PINNED, 'value')),
            'breaks' => $case->kind === CaseKind::Ladder ? self::breaks($reading) : [],
            'names' => array_map(
                static fn (Fault $f): array => ['name' => $f->name, 'station' => $f->station->value],
                $codebook->faults,
            ),
        ];
    }

    /** @return array<int, string> where the change of a ladder may break, by what is kept of it */
    private static function breaks(Reading $reading): array
    {
        $out = [];
        foreach ($reading->case->swings as $swing) {
            if ($swing->position > 1) {
                $out[$swing->position] = $reading->case->swingName($swing);
            }
        }

        return $out + [
            Ladder::HOLDS => (string) __('reading.the-case.holds'),
            Ladder::CANNOT_TELL => (string) __('reading.the-case.break-untold'),
        ];
    }

    /** @return list<string> addresses of what the page will ask for */
    private static function fetch(Reading $reading): array
    {
        $out = [route('read.evidence', [$reading, 1], false)];
        foreach ($reading->filmViews() as $view) {
            $out[] = route('read.film', [$reading, 1, $view->value, 'stream'], false);
        }

        return $out;
    }

    /** @return list<string> addresses of the stills it opens with */
    private function pictures(Reading $reading): array
    {
        $out = [];
        $recording = ($this->swings)($reading, 1);
        foreach ($reading->filmViews() as $view) {
            $still = $recording->openingStill($view, $this->swings->rendition($reading, $recording));
            if ($still !== null) {
                $out[] = route('read.film', [$reading, 1, $view->value, $still], false);
            }
        }

        return $out;
    }

    /** @return list<array{name: string, url: string}> */
    private static function swingsOf(Reading $reading): array
    {
        return $reading->case->kind === CaseKind::Single ? [] : array_values(
            $reading->case->swings
                ->map(static fn (CaseSwing $s): array => [
                    'name' => $reading->case->swingName($s),
                    'url' => route('read.evidence', [$reading, $s->position], false),
                ])
                ->all(),
        );
    }

    /** @return array{key: string, name: string, station: string, lookFor: string, facts: array<string, string>} */
    private static function fault(Fault $f): array
    {
        $facts = [
            'in-the-trace' => ucfirst($f->inTheTrace),
            'confused' => $f->confusedWith === []
                ? (string) __('figures.none')
                : ucfirst(implode(', ', $f->confusedWith)),
            'counter-example' => $f->counterExample,
            'disagreement' => (string) $f->disagreement,
        ];
        $named = [];
        foreach (array_filter($facts, static fn (string $says): bool => $says !== '') as $name => $says) {
            $named[(string) __("reading.fault.$name")] = $says;
        }

        return [
            'key' => $f->key,
            'name' => ucfirst($f->name),
            'station' => $f->station->value,
            'lookFor' => ucfirst($f->lookFor).'.',
            'facts' => $named,
        ];
    }

    /**
     * What is answered of every fault by choosing one of a few.
     *
     * @return array<string, array{legend: ?string, when: ?string, press: ?string,
     *     options: list<array{value: string, face: string, key: ?string, press: string}>}> legend: null where it is the
     *     fault's name; press: what goes to the next of them
     */
    private static function choices(bool $isPair): array
    {
        $of = static function (string $names, string $legend, string $press): array {
            $options = [];
            foreach (self::words("reading.$names") as $value => $face) {
                $options[] = ['value' => $value, 'face' => $face, 'key' => null, 'press' => ''];
            }

            return [
                'legend' => (string) __("reading.$legend"),
                'when' => 'present',
                'press' => $press,
                'options' => $options,
            ];
        };
        $presence = $severity = [];
        foreach (['present' => 'P', 'absent' => 'A', 'cannot-tell' => 'C'] as $value => $press) {
            $presence[] = ['value' => $value, 'face' => (string) __("calls.$value"), 'key' => $value, 'press' => $press];
        }
        foreach (self::words('reading.severities') as $key => $face) {
            $n = (string) (count($severity) + 1);
            $severity[] = ['value' => $n, 'face' => $face, 'key' => $key, 'press' => $n];
        }

        return [
            'presence' => ['legend' => null, 'when' => null, 'press' => null, 'options' => $presence],
            'severity' => [
                'legend' => (string) __('reading.severity'),
                'when' => 'present',
                'press' => null,
                'options' => $severity,
            ],
            ...($isPair ? ['trend' => $of('trends', 'trend', 'Q')] : []),
            'decision' => $of('decisions', 'decision', 'W'),
        ];
    }

    /** @return array<string, string> a group of words, by key */
    private static function words(string $of): array
    {
        $out = [];
        foreach ((array) __($of) as $key => $word) {
            $out[(string) $key] = is_string($word) ? $word : '';
        }

        return $out;
    }

    /**
     * @return array<string, array{press: string, name: string, says: string}> by what may be pinned on: only what is
     *     shown
     */
    private static function pins(Reading $reading, bool $ballIsShown): array
    {
        $film = $reading->arm->film;
        $may = array_filter([
            'film' => $film,
            'trace' => $reading->arm->trace,
            'turf' => $film,
            'ball' => $ballIsShown,
            'strike' => $ballIsShown,
        ]);

        $out = [];
        foreach (array_intersect_key(self::PIN_KEYS, $may) as $on => $press) {
            $name = (string) __("sheet.pins.$on");
            $out[$on] = [
                'press' => $press,
                'name' => $name,
                'says' => (string) __('reading.pin-on', ['what' => $name]),
            ];
        }

        return $out;
    }

    /** @return array<string, string> names by code */
    private static function stations(): array
    {
        $out = [];
        foreach (Station::cases() as $station) {
            $out[$station->value] = Term::station($station);
        }

        return $out;
    }

    /**
     * @return array<string, array{name: string, says: string, far: string, caution: string, loads: string,
     *     harm: ?string}> by key, in the order of their names; that one does harm is told once nothing can be changed
     *     any more
     */
    private static function drills(Codebook $codebook, bool $locked, Golfer $golfer): array
    {
        $drills = $codebook->drills();
        uasort($drills, static fn (Drill $a, Drill $b): int => $a->name <=> $b->name);

        return array_map(static fn (Drill $d): array => [
            'name' => $d->name,
            'says' => trim($d->setUp.' '.implode(' ', $d->steps)),
            'far' => $d->far,
            'caution' => trim(($d->harms ? '' : $d->caution).' '.__('cautions.drills')),
            'loads' => LoadedLimits::of($d, $golfer),
            'harm' => $locked && $d->harms ? ucfirst($d->for).": $d->not. $d->caution" : null,
        ], $drills);
    }

    /**
     * @param  list<string>  $values
     * @return array<string, string>
     */
    private static function options(string $of, array $values): array
    {
        $out = [];
        foreach ($values as $value) {
            $out[$value] = (string) __("reading.$of.$value");
        }

        return $out;
    }
}
