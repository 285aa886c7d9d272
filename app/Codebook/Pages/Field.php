<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

/** One thing a form asks. */
final readonly class Field
{
    /**
     * @param  'text'|'area'|'lines'|'choose'|'ticks'|'check'  $kind  lines: one thing a line; ticks: several of a list
     * @param  string  $name  as the form sends it: plan[dose]
     * @param  string|list<string>|bool  $value
     * @param  array<string, string>  $of  words by value, to choose among
     */
    private function __construct(
        public string $kind,
        public string $name,
        public string $label,
        public string|array|bool $value,
        public array $of = [],
        public string $hint = '',
    ) {
    }

    public static function text(string $name, string $label, mixed $value, string $hint = ''): self
    {
        return new self('text', $name, $label, self::plain($value), [], $hint);
    }

    public static function area(string $name, string $label, mixed $value, string $hint = ''): self
    {
        return new self('area', $name, $label, self::plain($value), [], $hint);
    }

    public static function lines(string $name, string $label, mixed $value, string $hint = ''): self
    {
        return new self('lines', $name, $label, implode("\n", self::texts($value)), [], $hint);
    }

    /** @param  array<string, string>  $of */
    public static function choose(string $name, string $label, mixed $value, array $of, string $hint = ''): self
    {
        return new self('choose', $name, $label, self::plain($value), $of, $hint);
    }

    /** @param  array<string, string>  $of */
    public static function ticks(string $name, string $label, mixed $value, array $of, string $hint = ''): self
    {
        return new self('ticks', $name, $label, self::texts($value), $of, $hint);
    }

    public static function check(string $name, string $label, bool $value, string $hint = ''): self
    {
        return new self('check', $name, $label, $value, [], $hint);
    }

    /** Whether so many stand to be chosen among that they want a line of their own. */
    public function hasMany(): bool
    {
        return count($this->of) > 12;
    }

    /** As old() finds it: plan.dose. */
    public function path(): string
    {
        return str_replace(['[', ']'], ['.', ''], $this->name);
    }

    public function id(): string
    {
        return 'f-'.trim((string) preg_replace('/[^a-z0-9]+/i', '-', $this->name), '-');
    }

    private static function plain(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    /** @return list<string> */
    private static function texts(mixed $value): array
    {
        return is_array($value) ? array_values(array_filter($value, is_string(...))) : [];
    }
}
