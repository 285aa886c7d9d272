<?php

declare(strict_types=1);

namespace App\Words;

use Core\Measurement\Measure;
use Core\Number\Written;
use Core\Remark\InWords;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Illuminate\Contracts\Translation\Translator;

/** Makes sentences of remarks from lang/en/remarks.php, where an academy can change them. */
final readonly class Wording implements InWords
{
    private const GROUPS = ['clause.all', 'clause.any'];

    public function __construct(private Translator $lines)
    {
    }

    /** As a sentence of its own where its line is one. */
    public function say(Remark $remark, array $names = []): string
    {
        $words = $names;
        foreach ($remark->with as $name => $value) {
            $words[$name] = $this->parameter($remark, $name, $value, $names);
        }
        if (isset($remark->with['measure'])) {
            $words['at'] = isset($remark->with['station'])
                ? $this->line('between.at', ['station' => $words['station']])
                : '';
        }

        return $this->line($remark->code, $words);
    }

    /**
     * What the @said directive prints.
     *
     * @param  array<string, string>  $names
     * @param  bool  $alone  a part of a sentence made one of its own
     */
    public function said(Remark $remark, array $names = [], bool $alone = false): string
    {
        return $alone ? ucfirst($this->phrase($remark, $names)).'.' : $this->say($remark, $names);
    }

    public function phrase(Remark $remark, array $names = []): string
    {
        $said = $this->say($remark, $names);

        return str_ends_with($said, '.') ? lcfirst(rtrim($said, '.')) : $said;
    }

    /**
     * @param  string|int|float|list<string>|Remark|list<Remark>  $value
     * @param  array<string, string>  $names
     */
    private function parameter(Remark $of, string $name, string|int|float|array|Remark $value, array $names): string
    {
        return match (true) {
            $value instanceof Remark => $name === 'swing' ? $this->say($value, $names) : $this->phrase($value, $names),
            $name === 'parts' && is_array($value) => implode(
                $this->line('between.'.substr($of->code, strlen('clause.'))),
                array_map(
                    fn (string|Remark $part): string => match (true) {
                        ! $part instanceof Remark => $part,
                        // Who reads "a and b or c" cannot tell which two belong together.
                        in_array($part->code, self::GROUPS, true) => '('.$this->say($part, $names).')',
                        default => $this->say($part, $names),
                    },
                    $value,
                ),
            ),
            is_array($value) => $this->names($name, array_values(array_filter($value, is_string(...)))),
            $name === 'measure' => $this->measure((string) $value),
            $name === 'op' => $this->line("op.$value"),
            $name === 'threshold' && ! is_string($value) => Written::set($value).' '.self::unit($of),
            is_float($value),
            is_int($value) && str_contains($name, '_'),
            in_array($name, ['value', 'uncertainty', 'standing'], true) => self::figure($name, (float) $value),
            default => (string) $value,
        };
    }

    /** @param  list<string>  $names */
    private function names(string $of, array $names): string
    {
        if ($of === 'evidence') {
            $seen = array_map(
                fn (string $kind): string => DeviceClass::tryFrom($kind) === null
                    ? $this->line("evidence.$kind")
                    : $this->other("devices.$kind"),
                $names,
            );

            return match (count($seen)) {
                0 => $this->line('evidence.none'),
                1 => $this->line('evidence.one', ['one' => $seen[0]]),
                default => implode($this->line('between.names'), $seen),
            };
        }
        if ($of === 'channels' && ($names === [] || count($names) > 3)) {
            return $names === []
                ? $this->line('channels.all')
                : $this->line('channels.many', ['count' => (string) count($names)]);
        }

        return implode($of === 'word' ? ', ' : $this->line('between.names'), $names);
    }

    private static function unit(Remark $of): string
    {
        $measure = $of->with['measure'] ?? null;

        return is_string($measure) ? Measure::tryFrom($measure)?->unit() ?? '' : '';
    }

    /** With as many decimals as the unit in its name bears. */
    private static function figure(string $name, float $value): string
    {
        return match (true) {
            str_ends_with($name, '_s') => Written::fixed($value, 2),
            str_ends_with($name, '_ms'),
            str_ends_with($name, '_percent'),
            str_ends_with($name, '_hz'),
            $name === 'standing' => Written::fixed($value, 0),
            // As the curve beside it says it.
            $name === 'uncertainty' => preg_replace('/\.0$/', '', Written::plusMinus($value)) ?? '',
            default => Written::short($value),
        };
    }

    private function measure(string $key): string
    {
        return Measure::tryFrom($key) === null ? $key : $this->other("measures.names.$key");
    }

    /** A line of another file than the remarks'. */
    private function other(string $key): string
    {
        $line = $this->lines->get($key);

        return is_string($line) ? $line : $key;
    }

    /** @param  array<string, string>  $with */
    private function line(string $key, array $with = []): string
    {
        $line = $this->lines->get("remarks.$key", $with);

        return is_string($line) ? $line : $key;
    }
}
