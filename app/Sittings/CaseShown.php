<?php

declare(strict_types=1);

namespace App\Sittings;

use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Rendition;
use App\Models\RowJson;
use Illuminate\Support\Facades\DB;

/**
 * What the page of a case shows beside its sheet – the swings, whose they are, what is to be spared, how this place
 * shows them – in one statement.
 */
final class CaseShown
{
    /** @return int how many cases of the round this reader has */
    public static function lay(Reading $reading): int
    {
        $reading->loadMissing(['case.swings']);
        $case = $reading->case;
        $found = DB::selectOne(
            'select * from case_shown(?, ?, ?)',
            [$case->id, $reading->user_id, Academy::today()],
        );
        assert(is_object($found));
        $row = new RowJson($found);
        $limits = $row->many('limits', GolferLimit::class)->groupBy('golfer_id');
        $golfers = $row->many('golfers', Golfer::class)->keyBy('id');
        foreach ($golfers as $golfer) {
            $golfer->setRelation('limitsInForce', $limits->get($golfer->id, $golfer->newCollection()));
        }
        $recordings = $row->many('recordings', Recording::class)->keyBy('id');
        foreach ($recordings as $recording) {
            $recording->setRelation('golfer', $golfers->get($recording->golfer_id));
        }
        foreach ($case->swings as $swing) {
            $swing->setRelation('recording', $recordings->get($swing->recording_id));
        }
        $case->setRelation('renditions', $row->many('renditions', Rendition::class));

        return Cell::int($found->cases ?? 0);
    }
}
