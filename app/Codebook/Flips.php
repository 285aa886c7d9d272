<?php

declare(strict_types=1);

namespace App\Codebook;

use App\Models\Recording;
use Core\Codebook\ClubGroup;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Said;
use Core\Codebook\SwingBasis;
use Core\Codebook\SwingSize;
use Core\CoreException;

/**
 * The verdicts on a swing that another codebook would turn, from what was measured of it: the same figures judged
 * twice.
 *
 * @phpstan-type Flip array{lens: string, fault: string, was: ?Said, is: ?Said, was_margin: ?float, is_margin: ?float}
 */
final class Flips
{
    /** @var array<string, Codebook> */
    private array $made = [];

    public function __construct(private readonly CodebookDocument $was, private readonly CodebookDocument $is)
    {
    }

    /**
     * @param  string|null  $fault  only of this one
     * @return list<Flip>|null  null: the swing is not measured
     *
     * @throws CoreException
     */
    public function of(Recording $recording, ?string $fault = null): ?array
    {
        $basis = $recording->basis();
        if ($basis === null) {
            return null;
        }
        $out = [];
        foreach ($this->was->lenses() + $this->is->lenses() as $lens => $_) {
            [$then, $now] = array_map(
                fn (string $of): array => $this->verdicts($basis, $recording, $of, $lens, $fault),
                ['was', 'is'],
            );
            foreach ($now + $then as $key => $_) {
                $pair = [$then[$key] ?? null, $now[$key] ?? null];
                if ($pair[0]?->said() !== $pair[1]?->said()) {
                    $out[] = [
                        'lens' => (string) $lens, 'fault' => $key,
                        'was' => $pair[0]?->said(), 'is' => $pair[1]?->said(),
                        'was_margin' => $pair[0]?->judgement->margin, 'is_margin' => $pair[1]?->judgement->margin,
                    ];
                }
            }
        }

        return $out;
    }

    /**
     * @param  'was'|'is'  $of
     * @return array<string, FaultVerdict> none under a lens that the document does not have
     *
     * @throws CoreException
     */
    private function verdicts(
        SwingBasis $basis,
        Recording $recording,
        string $of,
        string $lens,
        ?string $fault,
    ): array {
        $document = $of === 'was' ? $this->was : $this->is;
        if (! isset($document->lenses()[$lens])) {
            return [];
        }
        $club = ClubGroup::ofClub($recording->club);
        $size = SwingSize::ofSwing($recording->size, $recording->club);
        $codebook = $this->made[implode('|', [$of, $lens, $club?->value, $recording->swing, $size?->value])]
            ??= $document->under($lens, $club, $recording->swing, $size);

        return $basis->faults($codebook, $fault);
    }
}
