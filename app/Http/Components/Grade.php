<?php

declare(strict_types=1);

namespace App\Http\Components;

use App\Words\Term as Word;
use Core\Consensus\Grade as KeyGrade;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The grade of a key's entry, with what it means. */
final class Grade extends Component
{
    public function __construct(public string $grade)
    {
    }

    public function render(): View
    {
        return view('components.grade', [
            'style' => str_replace(' ', '-', $this->grade),
            'says' => Word::grade(KeyGrade::from($this->grade)),
        ]);
    }
}
