<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Codebook\Codebooks;
use App\Models\Recording;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\Fault;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Said;
use Core\Number\Written;
use Core\Remark\Remark;

/**
 * What the measurements say of each fault under a lens, what is supported first.
 *
 * @phpstan-type VerdictRow array{name: string, badge: ?string, margin: ?string, says: list<string>, url: string,
 *     open: bool}
 */
final readonly class BenchVerdicts
{
    /** What is folded away until it is asked for. */
    private const FOLDED = [Said::Contradicted, Said::NotMeasurable, Said::NotObservable];

    /** A smaller chance of being wrong is not put in words. */
    private const WORTH_SAYING = 0.005;

    /** A margin beyond this is not written as a number. */
    private const FAR = 10.0;

    public function __construct(private Codebooks $codebooks, private Wording $words)
    {
    }

    /**
     * @return array{groups: list<array{name: string, key: string, folded: bool, title: string,
     *     rows: list<VerdictRow>}>, notJudged: ?string, off: ?string}
     */
    public function of(Recording $recording, Codebook $codebook): array
    {
        $verdicts = $this->codebooks->verdicts($this->codebooks->document(), $codebook->lens->key, $recording) ?? [];
        $groups = [];
        foreach (Said::cases() as $said) {
            $rows = [];
            foreach ($codebook->faults as $key => $fault) {
                if (isset($verdicts[$key]) && $verdicts[$key]->said() === $said) {
                    $open = $rows === [] && $said === Said::Supported;
                    $rows[] = $this->row($recording, $codebook, $fault, $verdicts[$key], $open);
                }
            }
            if ($rows !== []) {
                $groups[] = [
                    'name' => (string) __("verdicts.$said->value"),
                    'key' => $said->value,
                    'folded' => in_array($said, self::FOLDED, true),
                    'title' => count($rows).' '.__("verdicts.$said->value"),
                    'rows' => $rows,
                ];
            }
        }

        return [
            'groups' => $groups,
            'notJudged' => $codebook->notJudged === null
                ? null
                : $this->words->said(Remark::of($codebook->notJudged), [], true),
            'off' => $codebook->off === []
                ? null
                : (string) __('bench.off', [
                    'faults' => implode(', ', $codebook->off),
                ]),
        ];
    }

    /** @return VerdictRow */
    private function row(
        Recording $recording,
        Codebook $codebook,
        Fault $fault,
        FaultVerdict $verdict,
        bool $open,
    ): array {
        $document = $this->codebooks->document();
        $judgement = $verdict->judgement;
        $differ = array_map(
            static fn (string $lens): string => $document->lenses()[$lens],
            $document->differingOn($fault->key),
        );
        $says = [
            $this->words->said($judgement->why, ['fault' => $fault->name]),
            (string) __("bench.seen.{$verdict->observability->value}").($verdict->proxy === null
                ? '.'
                : ': '.$this->words->said($verdict->proxy).'.'),
        ];
        if ($judgement->margin !== null) {
            $says[] = (string) __('bench.margin.'.($judgement->margin >= 0.0 ? 'beyond' : 'short'), [
                'times' => self::times($judgement->margin, 'bench.margin.many'),
            ]);
        }

        $wrong = $judgement->chanceWrong();
        if ($wrong !== null && $wrong >= self::WORTH_SAYING) {
            $says[] = (string) __('bench.margin.wrong', ['chance' => Written::fixed(100.0 * $wrong, 0)]);
        }

        return [
            'name' => $fault->name,
            'badge' => $differ === [] ? null : (string) __('bench.lenses-differ', ['lenses' => implode(', ', $differ)]),
            'margin' => $judgement->margin === null ? null : self::times($judgement->margin, 'bench.margin.over').'×',
            'says' => $says,
            'url' => route('bench.why', [$recording, $fault->key, 'lens' => $codebook->lens->key]),
            'open' => $open,
        ];
    }

    private static function times(float $margin, string $far): string
    {
        // Never rounded up to what it does not reach.
        return abs($margin) > self::FAR
            ? (string) __($far)
            : Written::fixed(floor(10.0 * abs($margin)) / 10.0, 1);
    }
}
