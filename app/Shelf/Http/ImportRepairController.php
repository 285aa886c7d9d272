<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Http\Controller;
use App\Models\PendingImport;
use App\Shelf\Actions\CutImportApart;
use App\Shelf\Actions\RepairImport;
use Core\CoreException;
use Illuminate\Http\RedirectResponse;

/** What is offered to set a file right before it goes on the Shelf. */
final class ImportRepairController extends Controller
{
    public function store(RepairRequest $request, PendingImport $import, RepairImport $repair): RedirectResponse
    {
        return $this->answered($import, fn () => $repair($import, $request->kind()), 'import.repaired');
    }

    public function destroy(PendingImport $import, RepairImport $repair): RedirectResponse
    {
        return $this->answered($import, fn () => $repair->back($import), 'import.repair-back');
    }

    public function cut(PendingImport $import, CutImportApart $cut): RedirectResponse
    {
        try {
            $batch = $cut($import);
        } catch (ActionException|CoreException $e) {
            return redirect()->route('imports.show', $import)->with('refused', Refusal::sentenceOf($e));
        }

        return redirect()->route('batches.show', $batch)->with('done', (string) __('import.was-cut'));
    }

    private function answered(PendingImport $import, callable $do, string $done): RedirectResponse
    {
        try {
            $do();
        } catch (ActionException|CoreException $e) {
            return redirect()->route('imports.show', $import)->with('refused', Refusal::sentenceOf($e));
        }

        return redirect()->route('imports.show', $import)->with('done', (string) __($done));
    }
}
