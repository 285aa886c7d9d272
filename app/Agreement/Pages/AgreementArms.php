<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Words\Wording;
use Core\Agreement\Study\ArmDifference;
use Core\Agreement\Study\ArmFigures;
use Core\Agreement\Study\ArmResult;
use Core\Number\Written;

/** What was shown – film and trace, or one of them – and whether that changes how far people agree. */
final readonly class AgreementArms
{
    private const SURE = 0.05;

    public function __construct(private Wording $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(ArmResult $r): array
    {
        return [
            'finding' => (string) __('agreement.shown.'.$this->finding($r)),
            'crossed' => $r->crossed,
            'says' => (string) __($r->crossed ? 'agreement.shown.within' : 'agreement.shown.says'),
            'arms' => array_map(
                static fn (ArmFigures $a): array => [
                    'name' => (string) __("agreement.arms.$a->arm"),
                    'cases' => $a->cases,
                    'same' => self::percent($a->same),
                    'ac1' => self::written($a->ac1, 2),
                    'found' => self::percent($a->sensitivity),
                    'right' => self::percent($a->specificity),
                ],
                array_values($r->arms),
            ),
            'differences' => array_map($this->difference(...), array_values($r->differences)),
        ];
    }

    private function finding(ArmResult $r): string
    {
        if (count($r->arms) < 2) {
            return 'one';
        }
        $known = array_filter(
            $r->differences,
            static fn (ArmDifference $d): bool => $d->difference->estimate !== null,
        );
        $sure = array_filter($known, static fn (ArmDifference $d): bool => $d->p !== null && $d->p < self::SURE);

        return match (true) {
            $known === [] => 'few',
            $sure !== [] => 'matters',
            default => 'no-difference',
        };
    }

    /**
     * @return array{names: string, figure: string, undefined: ?string, by: string, interval: ?string, p: string,
     *     finds: string}
     */
    private function difference(ArmDifference $d): array
    {
        $f = $d->difference;

        return [
            'names' => (string) __('agreement.less', [
                'second' => __("agreement.arms.$d->second"),
                'first' => __("agreement.arms.$d->first"),
            ]),
            'figure' => (string) __("agreement.shown.figures.$d->figure"),
            'undefined' => $f->estimate !== null || $f->reason === null ? null : $this->words->said($f->reason),
            'by' => $f->estimate === null ? (string) __('figures.none') : Written::signed($f->estimate, 2),
            'interval' => $f->low === null || $f->high === null
                ? null
                : Written::signed($f->low, 2).__('figures.to').Written::signed($f->high, 2),
            'p' => self::written($d->p, 3),
            'finds' => self::written($d->detectable, 2),
        ];
    }

    private static function percent(?float $v): string
    {
        return $v === null ? (string) __('figures.none') : Written::fixed(100.0 * $v, 0).' %';
    }

    private static function written(?float $v, int $digits): string
    {
        return $v === null ? (string) __('figures.none') : Written::fixed($v, $digits);
    }
}
