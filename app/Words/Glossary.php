<?php

declare(strict_types=1);

namespace App\Words;

use Closure;

/** The one meaning each word has here: as shipped, and as the academy's codebook explains it in its own way. */
final class Glossary
{
    /** @var array<string, array{word: string, means: string}>|null */
    private ?array $all = null;

    /**
     * @param  Closure(): array<string, array{word: string, means: string}>  $own  the academy's, asked for where needed
     */
    public function __construct(private readonly Closure $own)
    {
    }

    /** @return array<string, array{word: string, means: string}> by key; the academy's own words last */
    public function all(): array
    {
        if ($this->all === null) {
            /** @var array<string, array{word: string, means: string}> $shipped */
            $shipped = (array) __('glossary');
            $this->all = [...$shipped, ...($this->own)()];
        }

        return $this->all;
    }

    /** @return array{word: string, means: string} the key itself where there is no such word */
    public function of(string $key): array
    {
        return $this->all()[$key] ?? ['word' => $key, 'means' => ''];
    }
}
