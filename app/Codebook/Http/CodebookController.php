<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\Actions\KeepCodebook;
use App\Codebook\Codebooks;
use App\Codebook\Pages\CodebookPage;
use App\Http\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

final class CodebookController extends Controller
{
    public function show(LensRequest $request, CodebookPage $page): View
    {
        return view('codebook.show', $page->of($request->lens()));
    }

    /** The whole document, to be edited and sent back. */
    public function document(Codebooks $codebooks): JsonResponse
    {
        $document = $codebooks->document();

        return response()->json(
            $document->toArray(),
            200,
            ['Content-Disposition' => 'attachment; filename="codebook-'.$document->version().'.json"'],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    public function store(CodebookRequest $request, KeepCodebook $keep): RedirectResponse
    {
        return $this->attempt(
            fn () => $keep($request->document(), $request->string('note')->value(), $this->user()),
            (string) __('codebook.versions.kept'),
        );
    }
}
