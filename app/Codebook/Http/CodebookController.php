<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\Actions\KeepCodebook;
use App\Codebook\Codebooks;
use App\Http\Controller;
use App\Models\CodebookVersion;
use Core\Codebook\Glossary;
use Core\Codebook\Shown;
use Core\Codebook\StandardLenses;
use Core\Measurement\Measure;
use Core\Trace\DeviceClass;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

final class CodebookController extends Controller
{
    public function show(Request $request, Codebooks $codebooks): View
    {
        $document = $codebooks->document();
        /** @var string $lens */
        $lens =
            $request->validate(['lens' => ['nullable', 'string', Rule::in(array_keys($document->lenses()))]])['lens'] ??
            StandardLenses::DEFAULT;

        return view('codebook.show', [
            'codebook' => $document->under($lens),
            'all' => array_map(
                static fn (string $key) => $document->under($key),
                array_combine(array_keys($document->lenses()), array_keys($document->lenses())),
            ),
            'lenses' => $document->lenses(),
            'differs' => static fn (string $fault): array => $document->differingOn($fault),
            'measures' => Measure::cases(),
            'words' => Glossary::words(),
            'versions' => CodebookVersion::query()->orderByDesc('id')->get(['version', 'note', 'created_at']),
            'evidence' => [
                'film' => new Shown(null, true),
                'mat' => new Shown(DeviceClass::Mat, false),
                'plate' => new Shown(DeviceClass::Plate, false),
                'two plates' => new Shown(DeviceClass::DualPlate, false),
                'film and plates' => new Shown(DeviceClass::DualPlate, true),
                '3-D points' => new Shown(null, false, true),
            ],
        ]);
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

    public function store(Request $request, KeepCodebook $keep): RedirectResponse
    {
        $data = $request->validate([
            'document' => ['required', 'file', 'max:1024'],
            'note' => ['required', 'string', 'min:5', 'max:500'],
        ]);
        /** @var UploadedFile $file */
        $file = $data['document'];

        return $this->attempt(
            fn () => $keep((string) $file->get(), $data['note'], $this->user()),
            'Kept. New work uses it; rounds under way go on with theirs.',
        );
    }
}
