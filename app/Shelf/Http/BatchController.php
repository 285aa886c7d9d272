<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Http\Controller;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Shelf\Actions\BeginImports;
use App\Shelf\Actions\FinishImport;
use App\Shelf\Pages\BatchPage;
use Core\CoreException;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;

/** Several files at once on their way to the Shelf. */
final class BatchController extends Controller
{
    public function store(BatchRequest $request, BeginImports $begin): RedirectResponse
    {
        $batch = $begin(
            $request->sent(),
            Golfer::query()->with('consents')->whereKey($request->integer('golfer'))->firstOrFail(),
            $this->user(),
        );
        $imports = $this->of($batch);

        return $imports->count() === 1
            ? redirect()->route('imports.show', $imports->firstOrFail())
            : redirect()->route('batches.show', $batch);
    }

    public function show(string $batch, BatchPage $page): View
    {
        $imports = $this->of($batch);
        abort_if($imports->isEmpty(), 404);

        return view('shelf.batch', $page->of($batch, $imports));
    }

    public function update(BatchSettingsRequest $request, string $batch): RedirectResponse
    {
        $this->settle($request, $batch);

        return redirect()->route('batches.show', $batch)->with('done', (string) __('import.batch.set'));
    }

    /** Those that are ready go on the Shelf; what is refused stays, and says why. */
    public function finish(BatchSettingsRequest $request, string $batch, FinishImport $finish): RedirectResponse
    {
        $this->settle($request, $batch);
        $kept = 0;
        $refused = [];
        foreach ($this->of($batch) as $import) {
            try {
                $finish($import, $this->user());
                $kept++;
            } catch (ActionException|CoreException $e) {
                $refused[] = $import->file_name.': '.rtrim(Refusal::sentenceOf($e), '.').'.';
            }
        }
        $to = $refused === [] ? redirect()->route('shelf') : redirect()->route('batches.show', $batch);

        return $to
            ->with('done', trans_choice('import.batch.kept', $kept, ['count' => $kept]))
            ->with('refused', $refused === [] ? null : implode(' ', $refused));
    }

    private function settle(BatchSettingsRequest $request, string $batch): void
    {
        foreach ($this->of($batch) as $import) {
            $row = $request->row($import->public_id);
            if ($row !== null) {
                $import->update([
                    'golfer_id' => $row['golfer'] ?? $import->golfer_id,
                    'settings' => [...$import->settings, ...$row['settings']],
                ]);
            }
        }
    }

    /** @return Collection<int, PendingImport> one's own */
    private function of(string $batch): Collection
    {
        return PendingImport::query()
            ->where('batch', $batch)
            ->where('user_id', $this->user()->id)
            ->with('golfer.consents')
            ->orderBy('id')
            ->get();
    }
}
