<?php

declare(strict_types=1);

namespace App\Http\Components;

use App\Words\Glossary;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** A word of the glossary, explained where it stands: by pointer, finger or keyboard. */
final class Term extends Component
{
    /** @param  string  $of  the word's key in the glossary */
    public function __construct(public string $of, private readonly Glossary $glossary)
    {
    }

    public function render(): View
    {
        return view('components.term', [
            'id' => 'term-'.self::next(),
            ...$this->glossary->of($this->of),
        ]);
    }

    /** Numbered through the page, so that the same page has the same bytes. */
    private static function next(): int
    {
        $attributes = request()->attributes;
        $n = $attributes->getInt('terms') + 1;
        $attributes->set('terms', $n);

        return $n;
    }
}
