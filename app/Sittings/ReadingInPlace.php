<?php

declare(strict_types=1);

namespace App\Sittings;

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

/**
 * A reading with all that says where it stands – its case and what is shown of it, the case's swings, the round, the
 * academy whose days count – in one statement: every look at a sheet and every save begins with it.
 */
final readonly class ReadingInPlace
{
    /** @throws ModelNotFoundException<Reading> */
    public static function by(string $publicId): Reading
    {
        $found = Reading::query()
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('cases', 'cases.id', '=', 'sitting_cases.case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->join('sitting_arms', 'sitting_arms.id', '=', 'readings.arm_id')
            ->where('readings.public_id', $publicId)
            ->toBase()
            ->selectRaw('readings.*, row_to_json(sitting_cases) as in_case, row_to_json(cases) as in_rated,
                row_to_json(sittings) as in_sitting, row_to_json(sitting_arms) as in_arm,
                (select json_agg(s order by s.position) from case_swings s where s.case_id = cases.id) as in_swings,
                (select row_to_json(a) from academies a where a.id = ?) as in_academy', [Academy::ID])
            ->first();
        if ($found === null) {
            throw (new ModelNotFoundException)->setModel(Reading::class);
        }
        /** @var array<string, mixed> $row */
        $row = (array) $found;
        $academy = self::part($row, 'academy');
        if ($academy !== []) {
            Academy::isHere(self::made(new Academy, $academy));
        }
        /** @var list<array<string, mixed>> $swings */
        $swings = self::part($row, 'swings');
        $case = self::made(new SittingCase, self::part($row, 'case'))
            ->setRelation('rated', self::made(new RatedCase, self::part($row, 'rated')))
            ->setRelation('sitting', self::made(new Sitting, self::part($row, 'sitting')))
            ->setRelation('swings', new Collection(array_map(
                static fn (array $swing): CaseSwing => self::made(new CaseSwing, $swing),
                $swings,
            )));
        $arm = self::made(new SittingArm, self::part($row, 'arm'));

        return self::made(new Reading, array_filter(
            $row,
            static fn (string $column): bool => ! str_starts_with($column, 'in_'),
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
            static fn (mixed $cell): mixed => is_array($cell) ? json_encode($cell, JSON_THROW_ON_ERROR) : $cell,
            $row,
        );

        return $model->newFromBuilder($cells);
    }
}
