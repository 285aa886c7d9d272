<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Queries\Codebooks;
use Core\Codebook\Glossary;
use Core\Codebook\Shown;
use Core\Codebook\StandardLenses;
use Core\Measurement\Measure;
use Core\Trace\DeviceClass;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class CodebookController extends Controller
{
    public function __invoke(Request $request, Codebooks $codebooks): View
    {
        $document = $codebooks->document();
        /** @var string $lens */
        $lens = $request->validate(['lens' => ['nullable', 'string', Rule::in(array_keys($document->lenses()))]])['lens'] ?? StandardLenses::DEFAULT;

        return view('codebook', [
            'codebook' => $document->under($lens),
            'all' => array_map(static fn (string $key) => $document->under($key), array_combine(array_keys($document->lenses()), array_keys($document->lenses()))),
            'lenses' => $document->lenses(),
            'differs' => static fn (string $fault): array => $document->differingOn($fault),
            'measures' => Measure::cases(),
            'words' => Glossary::words(),
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
}
