<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Models\Call;
use App\Models\Reading;
use App\Models\RowJson;
use App\Models\Sitting;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/**
 * Takes a reading to be changed or handed in: first its round in share mode, so that it cannot be closed meanwhile,
 * then the reading itself. Whoever closes the round waits for all who hold it so.
 */
final readonly class HoldRound
{
    /**
     * Inside a transaction. What cannot change of its case is as it was given; the round and the reading are read anew.
     */
    public function __invoke(Reading $reading): Reading
    {
        $reading->loadMissing('case.swings');
        $found = DB::selectOne(
            'select (h.reading).*, h.in_sitting, h.in_calls from hold_reading(?) h',
            [$reading->id],
        );
        if (! is_object($found)) {
            throw (new ModelNotFoundException)->setModel(Reading::class);
        }
        $row = new RowJson($found);

        return $row->own(new Reading)
            ->setRelation('calls', $row->many('calls', Call::class))
            ->setRelation('case', $reading->case->setRelation('sitting', $row->one('sitting', new Sitting)));
    }
}
