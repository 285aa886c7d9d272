<?php

declare(strict_types=1);

namespace App\Sittings;

use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\CaseSwing;
use App\Models\RatedCase;
use App\Models\Reading;
use App\Models\RowJson;
use App\Models\Sitting;
use App\Models\SittingArm;
use App\Models\SittingCase;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/**
 * A reading with all that says where it stands – its case and what is shown of it, the case's swings, the round, the
 * academy whose days count – in one statement: every look at a sheet and every save begins with it.
 */
final readonly class ReadingInPlace
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @throws ModelNotFoundException<Reading> */
    public function by(string $publicId): Reading
    {
        $found = DB::selectOne(
            'select (p.reading).*, p.in_case, p.in_rated, p.in_sitting, p.in_arm, p.in_swings, p.in_academy, p.is_kept
                from reading_in_place(?::bpchar) p',
            [$publicId],
        );
        if (! is_object($found)) {
            throw (new ModelNotFoundException)->setModel(Reading::class);
        }
        $row = new RowJson($found);
        $academy = $row->find('academy', new Academy);
        if ($academy !== null) {
            Academy::isHere($academy);
        }
        $round = $row->one('sitting', new Sitting);
        if (! $row->is('kept')) {
            $this->codebooks->isNotKept($round->codebook_version);
        }
        $case = $row->one('case', new SittingCase)
            ->setRelation('rated', $row->one('rated', new RatedCase))
            ->setRelation('sitting', $round)
            ->setRelation('swings', $row->many('swings', CaseSwing::class));

        return $row->own(new Reading)->setRelation('case', $case)->setRelation('arm', $row->one('arm', new SittingArm));
    }
}
