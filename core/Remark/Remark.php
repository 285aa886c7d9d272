<?php

declare(strict_types=1);

namespace Core\Remark;

/**
 * Something said of a result – why there is no value, what is wrong with a recording, what a verdict came from – as a
 * code with parameters. Core says it, rows and files hold it; InWords makes the sentence.
 *
 * @phpstan-type Parameter string|int|float|list<string>|Remark|list<Remark>
 */
final readonly class Remark
{
    /** The code of what was stored as a sentence before there were codes: its one parameter is that sentence. */
    public const WORDED_THEN = 'worded-then';

    /** @param  array<string, Parameter>  $with  by name; a name ends in its unit (_s, _ms, _percent, _hz) */
    public function __construct(public string $code, public array $with = [])
    {
    }

    /** @param  Parameter  ...$with  by name */
    public static function of(RemarkCode $code, string|int|float|array|self ...$with): self
    {
        /** @var array<string, Parameter> $with */
        return new self((string) $code->value, $with);
    }

    public static function wordedThen(string $words): self
    {
        return new self(self::WORDED_THEN, ['words' => $words]);
    }

    public function is(RemarkCode $code): bool
    {
        return $this->code === $code->value;
    }
}
