<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Shelf\OpenedImport;
use App\Words\Term;
use Core\CoreException;
use Core\Number\Written;
use Core\Sight\Scope;
use Illuminate\Database\Eloquent\Collection;

/** Files that came together, a line each: whose they are, what they were understood as, what stands in their way. */
final readonly class BatchPage
{
    /**
     * @param  Collection<int, PendingImport>  $imports
     * @return array<string, mixed>
     */
    public function of(string $batch, Collection $imports): array
    {
        $rows = array_values($imports->map(self::row(...))->all());
        $ready = count(array_filter($rows, static fn (array $row): bool => $row['problem'] === null));

        return [
            'batch' => $batch,
            'rows' => $rows,
            'ready' => $ready,
            'title' => trans_choice('import.batch.title', count($rows), ['count' => count($rows), 'ready' => $ready]),
            'golfers' => Golfer::query()
                ->consenting(Scope::Lessons, Scope::StaffTraining)
                ->orderBy('pseudonym')
                ->pluck('pseudonym', 'id')
                ->all(),
            ...FactsPage::choices(),
        ];
    }

    /**
     * @return array{id: string, name: string, golfer: int, club: string, swing: string, shape: string, series: string,
     *     place: string, says: string, problem: ?string}
     */
    private static function row(PendingImport $import): array
    {
        $set = static fn (string $field): string => Cell::text($import->settings[$field] ?? '');
        $row = [
            'id' => $import->public_id,
            'name' => $import->file_name,
            'golfer' => $import->golfer_id,
            'club' => $set('club'),
            'swing' => $set('swing') === '' ? 'full' : $set('swing'),
            'shape' => $set('shape'),
            'series' => $set('series'),
            'place' => $set('place'),
            'says' => '',
            'problem' => null,
        ];
        try {
            $in = (new OpenedImport($import))->read();
            $row['club'] = $row['club'] === '' ? (string) $in->facts->club : $row['club'];
            $row['swing'] = $set('swing') === '' ? $in->facts->swing ?? 'full' : $row['swing'];
            $row['says'] = (string) __('import.batch.says', [
                'device' => Term::device($in->trace->device),
                'rate' => Written::fixed($in->trace->rateHz, 0),
                'length' => Written::fixed($in->trace->samples() / $in->trace->rateHz, 1),
            ]);
        } catch (ActionException|CoreException $e) {
            $row['problem'] = rtrim(Refusal::sentenceOf($e), '.').'.';
        }

        return $row;
    }
}
