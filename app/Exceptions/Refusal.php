<?php

declare(strict_types=1);

namespace App\Exceptions;

use Core\CoreException;

/**
 * What is refused: a line of lang/ and what it speaks of. It can be kept in a row and said later, in the words of then.
 *
 * @phpstan-type Kept array{line: string, with: array<string, mixed>}
 */
final readonly class Refusal
{
    /** The line of what was kept as a sentence before it was kept like this. */
    private const WORDED_THEN = 'refusals.worded-then';

    /** @param  array<string, string|int|float|self>  $with */
    public function __construct(public string $line, public array $with = [])
    {
    }

    public static function of(CoreException $e): self
    {
        $with = [];
        foreach ($e->about as $name => $about) {
            $with[(string) $name] = $about instanceof CoreException ? self::of($about) : $about;
        }
        // Of the few things that several lines of an area have in common the line has the name.
        if (is_string($with['what'] ?? null)) {
            $area = strstr($e->refusal, '.', true);
            $with['what'] = new self("core.$area.what.{$with['what']}", array_diff_key($with, ['what' => 0]));
        }

        return new self("core.$e->refusal", $with);
    }

    public static function sentenceOf(CoreException|ActionException $e): string
    {
        return ($e instanceof ActionException ? $e->refusal : self::of($e))->sentence();
    }

    public function sentence(): string
    {
        $with = [];
        foreach ($this->with as $name => $value) {
            $with[$name] = match (true) {
                ! $value instanceof self => (string) $value,
                $name === 'what' => $value->sentence(),
                // A sentence within another one.
                default => lcfirst($value->sentence()),
            };
        }
        $count = $this->with['count'] ?? null;
        if (is_int($count)) {
            return trans_choice($this->line, $count, $with);
        }
        $line = __($this->line, $with);

        return is_string($line) ? $line : $this->line;
    }

    public function toJson(): string
    {
        return json_encode(
            $this->toArray(),
            JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE,
        );
    }

    /** What was kept: by toJson(), or as a sentence before that. */
    public static function kept(string $text): self
    {
        $data = json_decode($text, true);

        return is_array($data) && is_string($data['line'] ?? null)
            ? self::fromArray($data['line'], is_array($data['with'] ?? null) ? $data['with'] : [])
            : new self(self::WORDED_THEN, ['words' => $text]);
    }

    /** @return Kept */
    private function toArray(): array
    {
        return [
            'line' => $this->line,
            'with' => array_map(
                static fn (string|int|float|self $v): string|int|float|array => $v instanceof self ? $v->toArray() : $v,
                $this->with,
            ),
        ];
    }

    /** @param  array<mixed>  $with */
    private static function fromArray(string $line, array $with): self
    {
        $read = [];
        foreach ($with as $name => $value) {
            if (is_array($value) && is_string($value['line'] ?? null)) {
                $read[(string) $name] = self::fromArray(
                    $value['line'],
                    is_array($value['with'] ?? null) ? $value['with'] : [],
                );
            } elseif (is_string($value) || is_int($value) || is_float($value)) {
                $read[(string) $name] = $value;
            }
        }

        return new self($line, $read);
    }
}
