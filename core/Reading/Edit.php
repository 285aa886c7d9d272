<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\Codebook\SheetNames;
use Core\CoreException;
use Core\Motion\Station;

/**
 * One change of a reading: what is changed, and what it is now. The targets: call:FAULT, causes, other-cause,
 * chain, cue, drill, misses, breaks, mark:TP, mark:IM, aids; miss, which the sheet of before sent, is one that is sure.
 * Two changes of different targets never disturb each other.
 */
final readonly class Edit
{
    /** @param  mixed  $value  as decoded from JSON, checked when applied */
    public function __construct(public string $target, public mixed $value)
    {
    }

    /**
     * The same change with every time moved: a swing shown by a clock of its own is marked by that clock. What makes no
     * sense is left as it is, to be refused when applied.
     *
     * @param  array<int, float>  $by  seconds to add, by swing of the case
     */
    public function later(array $by): self
    {
        [$what] = explode(':', $this->target, 2);
        $value = $this->value;
        if ($by === [] || $value === null) {
            return $this;
        }
        $moved = static fn (mixed $t, mixed $swing): mixed => (is_int($t) || is_float($t)) &&
        is_int($swing) &&
        isset($by[$swing])
            ? round($t + $by[$swing], 4)
            : $t;
        if ($what === 'mark') {
            return new self($this->target, $moved($value, 1));
        }
        if ($what === 'call' && is_array($value) && is_array($value['pins'] ?? null)) {
            $value['pins'] = array_map(
                static fn (mixed $p): mixed => is_array($p) && isset($p['t'])
                    ? [...$p, 't' => $moved($p['t'], $p['swing'] ?? 1)]
                    : $p,
                $value['pins'],
            );
        }
        if ($what === 'aids' && is_array($value)) {
            $value = array_map(
                static fn (mixed $a): mixed => is_array($a) && is_array($a['points'] ?? null)
                    ? [
                        ...$a,
                        'points' => array_map(
                            static fn (mixed $p): mixed => is_array($p) && isset($p['t'])
                                ? [...$p, 't' => $moved($p['t'], $a['swing'] ?? 1)]
                                : $p,
                            $a['points'],
                        ),
                    ]
                    : $a,
                $value,
            );
        }

        return new self($this->target, $value);
    }

    /** Whether it tells a time of a swing, which later() would move. */
    public function tellsTimes(): bool
    {
        [$what] = explode(':', $this->target, 2);

        return match ($what) {
            'call' => is_array($this->value) && ($this->value['pins'] ?? []) !== [],
            'mark', 'aids' => $this->value !== null,
            default => false,
        };
    }

    /** @throws CoreException in a sentence, where the value makes no sense */
    public function applyTo(Reading $reading, SheetNames $names): Reading
    {
        [$what, $of] = [...explode(':', $this->target, 2), ''];

        return match ($what) {
            'call' => $reading->with(['calls' => $this->calls($reading, $of, $names)]),
            'causes' => $reading->with(['firstCauses' => self::causes($this->value, $names)]),
            'chain' => $reading->with(['chain' => self::chain($this->value, $names)]),
            'other-cause' => $reading->with([
                'otherCause' => trim(self::text($this->value, Reading::OTHER, 'other-cause')),
            ]),
            'cue' => $reading->with(['cue' => trim(self::text($this->value, 120, 'cue'))]),
            'drill' => $this->drill($reading, $names),
            'misses' => $reading->with(['misses' => self::misses($this->value)]),
            'miss' => $reading->with([
                'misses' => $this->value === null
                    ? new Misses
                    : Misses::certain(self::case(Miss::class, $this->value, 'miss')),
            ]),
            'breaks' => $reading->with([
                'breaks' => $this->value === null ? null : Ladder::checked(self::whole($this->value, 'ladder')),
            ]),
            'mark' => $reading->with(['marks' => $this->marks($reading, $of)]),
            'aids' => $reading->with(['aids' => self::aids($this->value)]),
            default => throw ReadingException::because('nothing-so-named'),
        };
    }

    /**
     * @return array<string, Call>
     *
     * @throws CoreException
     */
    private function calls(Reading $reading, string $fault, SheetNames $names): array
    {
        $names->fault($fault);
        $calls = $reading->calls;
        if ($this->value === null) {
            unset($calls[$fault]);

            return $calls;
        }
        $c = self::map($this->value, 'call');

        return [
            ...$calls,
            $fault => new Call(
                $fault,
                self::case(Presence::class, $c['presence'] ?? null, 'presence'),
                isset($c['severity']) ? self::severity($c['severity']) : null,
                isset($c['onset']) ? self::case(Station::class, $c['onset'], 'station') : null,
                isset($c['decision']) ? self::case(Decision::class, $c['decision'], 'decision') : null,
                isset($c['confidence'])
                    ? self::whole($c['confidence'], 'confidence')
                    : null,
                array_map(self::pin(...), self::list($c['pins'] ?? [], 'pins')),
                isset($c['trend']) ? self::case(Trend::class, $c['trend'], 'trend') : null,
                isset($c['reaction']) ? self::case(Outside::class, $c['reaction'], 'reaction') : null,
                self::yes($c['sound'] ?? false),
            ),
        ];
    }

    /** @throws CoreException */
    private static function severity(mixed $value): Severity
    {
        return Severity::tryFrom(self::whole($value, 'severity')) ?? throw ReadingException::because('severity');
    }

    /** @throws CoreException */
    private static function pin(mixed $value): Pin
    {
        $p = self::map($value, 'pin');
        $view = $p['view'] ?? null;

        /** @var 'film'|'trace'|'ball'|'strike'|'turf' $on checked by the pin itself */
        $on = self::text($p['on'] ?? null, 10, 'pin-place');

        return new Pin(
            $on,
            isset($p['t']) ? self::number($p['t']) : null,
            trim(self::text($p['reason'] ?? '', 400, 'reason')),
            $view === null ? null : self::text($view, 20, 'view'),
            self::whole($p['swing'] ?? 1, 'swing-whole'),
            isset($p['turf']) ? self::case(Turf::class, $p['turf'], 'turf') : null,
        );
    }

    /** @throws CoreException */
    private static function misses(mixed $value): Misses
    {
        $percent = [];
        foreach (self::map($value, 'misses') as $miss => $likely) {
            $percent[(string) $miss] = self::whole($likely, 'miss-likely');
        }

        return new Misses($percent);
    }

    /**
     * @return list<string>
     *
     * @throws CoreException
     */
    private static function causes(mixed $value, SheetNames $names): array
    {
        $out = [];
        foreach (self::list($value, 'first-causes') as $cause) {
            $out[] = self::finding($cause, $names);
        }

        return array_values(array_unique($out));
    }

    /** @throws CoreException */
    private static function chain(mixed $value, SheetNames $names): Chain
    {
        return new Chain(array_map(static function (mixed $link) use ($names): array {
            $pair = self::list($link, 'link');
            if (count($pair) !== 2) {
                throw ReadingException::because('link');
            }

            return [self::finding($pair[0], $names), self::finding($pair[1], $names)];
        }, self::list($value, 'chain')));
    }

    /** @throws CoreException */
    private function drill(Reading $reading, SheetNames $names): Reading
    {
        if ($this->value === null) {
            return $reading->with(['drill' => null, 'stop' => null]);
        }
        $d = self::map($this->value, 'drill');
        $key = self::text($d['key'] ?? null, 40, 'drill');
        if (! $names->holdsDrill($key)) {
            throw ReadingException::because('no-drill');
        }

        return $reading->with([
            'drill' => $key,
            'stop' => isset($d['stop']) ? self::case(Stop::class, $d['stop'], 'stopping-point') : null,
        ]);
    }

    /**
     * @return array<string, float>
     *
     * @throws CoreException
     */
    private function marks(Reading $reading, string $station): array
    {
        if (! in_array($station, Reading::OWN_MARKS, true)) {
            throw ReadingException::because('own-marks');
        }
        $marks = $reading->marks;
        unset($marks[$station]);
        if ($this->value === null) {
            return $marks;
        }
        $t = self::number($this->value);
        if (is_nan($t) || $t < 0.0 || $t > 600.0) {
            throw ReadingException::because('mark-outside');
        }

        return [...$marks, $station => round($t, 4)];
    }

    /**
     * @return list<Aid>
     *
     * @throws CoreException
     */
    private static function aids(mixed $value): array
    {
        return array_map(static function (mixed $aid): Aid {
            $a = self::map($aid, 'drawing-aid');
            $points = array_map(static function (mixed $p): array {
                $p = self::map($p, 'point');

                return [
                    'x' => self::number($p['x'] ?? null),
                    'y' => self::number($p['y'] ?? null),
                    't' => self::number($p['t'] ?? null),
                ];
            }, self::list($a['points'] ?? null, 'points'));

            return new Aid(
                self::text($a['kind'] ?? null, 12, 'drawing-aid'),
                self::text($a['view'] ?? null, 20, 'view'),
                $points,
                self::whole($a['swing'] ?? 1, 'swing-whole'),
            );
        }, self::list($value, 'drawing-aids'));
    }

    /** @throws CoreException */
    private static function finding(mixed $value, SheetNames $names): string
    {
        $key = self::text($value, 40, 'finding');
        if ($key === Reading::NOT_IN_THE_FEET) {
            throw ReadingException::because('which-outside');
        }

        return Outside::tryFrom($key) === null ? $names->fault($key) : $key;
    }

    /** @throws CoreException */
    private static function yes(mixed $value): bool
    {
        return is_bool($value) ? $value : throw ReadingException::because('yes');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws CoreException
     */
    private static function case(string $enum, mixed $value, string $what): \BackedEnum
    {
        return (is_string($value) ? $enum::tryFrom($value) : null) ??
            throw ReadingException::because('no-such', what: $what);
    }

    /** @throws CoreException */
    private static function text(mixed $value, int $most, string $what): string
    {
        if (! is_string($value) || ! mb_check_encoding($value, 'UTF-8') || mb_strlen($value) > $most) {
            throw ReadingException::because('text', what: $what, most: $most);
        }

        return $value;
    }

    /** @throws CoreException */
    private static function number(mixed $value): float
    {
        if ((! is_int($value) && ! is_float($value)) || ! is_finite((float) $value)) {
            throw ReadingException::because('no-number');
        }

        return (float) $value;
    }

    /** @throws CoreException */
    private static function whole(mixed $value, string $code): int
    {
        return is_int($value) ? $value : throw ReadingException::because($code);
    }

    /**
     * @return array<mixed>
     *
     * @throws CoreException
     */
    private static function map(mixed $value, string $what): array
    {
        return is_array($value) && (! array_is_list($value) || $value === [])
            ? $value
            : throw ReadingException::because('shape', what: $what);
    }

    /**
     * @return list<mixed>
     *
     * @throws CoreException
     */
    private static function list(mixed $value, string $what): array
    {
        return is_array($value) && array_is_list($value) && count($value) <= 64
            ? $value
            : throw ReadingException::because('list', what: $what);
    }
}
