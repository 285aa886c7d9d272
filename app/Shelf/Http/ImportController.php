<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Http\Controller;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Shelf\Actions\BeginImport;
use App\Shelf\Actions\DropImport;
use App\Shelf\Actions\FinishImport;
use App\Shelf\Pages\ImportPage;
use Core\CoreException;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\UploadedFile;

/** The guided way of a file onto the Shelf: send it, look at what was understood, set right what was not, keep it. */
final class ImportController extends Controller
{
    /** @throws ActionException */
    public function store(ImportRequest $request, BeginImport $begin): RedirectResponse
    {
        /** @var UploadedFile $file */
        $file = $request->file('trace');
        /** @var UploadedFile|null $meta */
        $meta = $request->file('meta');
        $import = $begin(
            Golfer::query()->with('consents')->whereKey($request->integer('golfer'))->firstOrFail(),
            $file,
            $meta,
            $this->user(),
        );

        return redirect()->route('imports.show', $import);
    }

    public function show(PendingImport $import, ImportPage $page): View
    {
        return view('shelf.import', $page->of($import));
    }

    public function update(ImportSettingsRequest $request, PendingImport $import): RedirectResponse
    {
        // What was said yes to, and which part of the file it is, stays.
        $kept = array_intersect_key($import->settings, ['repairs' => true, 'part' => true]);
        $import->update(['settings' => [...$request->settings(), ...$kept]]);

        return redirect()->route('imports.show', $import);
    }

    public function finish(PendingImport $import, FinishImport $finish): RedirectResponse
    {
        try {
            $recording = $finish($import, $this->user());
        } catch (ActionException|CoreException $e) {
            return redirect()
                ->route('imports.show', $import)
                ->with('refused', (string) __('import.refused', ['why' => rtrim(Refusal::sentenceOf($e), '.')]));
        }

        return redirect()
            ->route('bench', $recording)
            ->with('done', (string) __('import.kept'));
    }

    public function destroy(PendingImport $import, DropImport $drop): RedirectResponse
    {
        $drop($import);

        return redirect()->route('shelf')->with('done', (string) __('import.left'));
    }
}
