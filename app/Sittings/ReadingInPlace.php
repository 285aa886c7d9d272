<?php

declare(strict_types=1);

namespace App\Sittings;

use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\CaseSwing;
use App\Models\RatedCase;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingArm;
use App\Models\SittingCase;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
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
        if ($found === null) {
            throw (new ModelNotFoundException)->setModel(Reading::class);
        }
        /** @var array<string, mixed> $row */
        $row = (array) $found;
        $academy = self::part($row, 'academy');
        if ($academy !== []) {
            Academy::isHere(self::made(new Academy, $academy));
        }
        $round = self::made(new Sitting, self::part($row, 'sitting'));
        if ($row['is_kept'] === false) {
            $this->codebooks->isNotKept($round->codebook_version);
        }
        /** @var list<array<string, mixed>> $swings */
        $swings = self::part($row, 'swings');
        $case = self::made(new SittingCase, self::part($row, 'case'))
            ->setRelation('rated', self::made(new RatedCase, self::part($row, 'rated')))
            ->setRelation('sitting', $round)
            ->setRelation('swings', new Collection(array_map(
                static fn (array $swing): CaseSwing => self::made(new CaseSwing, $swing),
                $swings,
            )));
        $arm = self::made(new SittingArm, self::part($row, 'arm'));

        return self::made(new Reading, array_filter(
            $row,
            static fn (string $column): bool => ! str_starts_with($column, 'in_') && $column !== 'is_kept',
            ARRAY_FILTER_USE_KEY,
        ))->setRelation('case', $case)->setRelation('arm', $arm);
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<mixed>
     */
    private static function part(array $row, string $name): array
    {
        $json = $row["in_$name"];

        return is_string($json) ? (array) json_decode($json, true, flags: JSON_THROW_ON_ERROR) : [];
    }

    /**
     * @template M of Model
     *
     * @param  M  $model
     * @param  array<mixed>  $row
     * @return M
     */
    private static function made(Model $model, array $row): Model
    {
        // What a column holds as JSON stays text, as when it is asked for by itself.
        /** @var array<string, mixed> $cells */
        $cells = array_map(
            static fn (mixed $cell): mixed => is_array($cell)
                ? json_encode($cell, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)
                : $cell,
            $row,
        );

        return $model->newFromBuilder($cells);
    }
}
