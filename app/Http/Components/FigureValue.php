<?php

declare(strict_types=1);

namespace App\Http\Components;

use App\Words\Wording;
use Core\Agreement\Figure;
use Core\Number\Written;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** One figure with its interval, greyed where there are too few cases to say; or the reason why there is none. */
final class FigureValue extends Component
{
    /** An interval wider than this says little of a share or a coefficient; wider than the other, of anything else. */
    private const WIDE = ['share' => 0.5, 'other' => 3.0];

    private const FEW_CASES = 10;

    public function __construct(
        private readonly Wording $words,
        public ?Figure $figure = null,
        public int $digits = 2,
        public bool $percent = false,
        public ?int $n = null,
    ) {
    }

    public function render(): View
    {
        $f = $this->figure;
        if ($f?->estimate === null) {
            $reason = $f?->reason;

            return view('components.figure-value', [
                'undefined' => $reason === null ? (string) __('figures.not-computed') : $this->words->said($reason),
            ]);
        }
        $thin = $this->isThin($f);

        return view('components.figure-value', [
            'undefined' => null,
            'thin' => $thin,
            'hint' => $thin ? (string) __('figures.thin') : $f->method,
            'estimate' => $this->written($f->estimate).($this->percent ? ' %' : ''),
            'interval' => $this->interval($f),
        ]);
    }

    private function isThin(Figure $f): bool
    {
        if ($f->low === null || $f->high === null || ($this->n !== null && $this->n < self::FEW_CASES)) {
            return true;
        }

        return $f->high - $f->low > self::WIDE[$this->percent || abs($f->high) <= 1.0 ? 'share' : 'other'];
    }

    private function interval(Figure $f): ?string
    {
        if ($f->low === null || $f->high === null) {
            return null;
        }
        $to = $f->low < 0.0 ? (string) __('figures.to') : '–';

        return $this->written($f->low).$to.$this->written($f->high);
    }

    private function written(float $v): string
    {
        return $this->percent ? Written::fixed(100.0 * $v, 0) : Written::fixed($v, $this->digits);
    }
}
