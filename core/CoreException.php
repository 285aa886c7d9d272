<?php

declare(strict_types=1);

namespace Core;

/**
 * Anything the core refuses: a code and what it is about. Whoever shows it makes the sentence from lang/en/core.php;
 * the message names the code for developers. Every room has a class of its own.
 */
abstract class CoreException extends \DomainException
{
    /** @var string under which the lines of a class stand */
    protected const AREA = '';

    /**
     * @param  string  $refusal  area and code: reading.chain-circle
     * @param  array<array-key, string|int|self>  $about  by name; of another refusal its own words
     */
    final public function __construct(
        public readonly string $refusal,
        public readonly array $about = [],
        ?\Throwable $previous = null,
    ) {
        $told = array_map(
            static fn (string|int|self $v): string|int => $v instanceof self ? $v->getMessage() : $v,
            $about,
        );
        $with = json_encode($told, JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE);
        parent::__construct($told === [] ? $refusal : "$refusal $with", 0, $previous);
    }

    public static function because(string $code, string|int|self ...$about): static
    {
        return new static(sprintf('%s.%s', static::AREA, $code), $about);
    }
}
