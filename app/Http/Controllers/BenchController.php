<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MeasureRecording;
use App\Models\Recording;
use App\Queries\EvidencePayload;
use App\Queries\MeasurementRows;
use Core\Codebook\Codebook;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;

final class BenchController extends Controller
{
    public function show(Recording $recording, MeasureRecording $measure, MeasurementRows $rows): View
    {
        $measured = $measure($recording);
        $recording->load('golfer.consents');
        $codebook = Codebook::standard();

        return view('bench', [
            'recording' => $recording,
            'rows' => $rows->of($measured, $codebook->lens),
            'verdicts' => $measured->faults,
            'codebook' => $codebook,
        ]);
    }

    public function evidence(Recording $recording, EvidencePayload $payload): JsonResponse
    {
        return response()->json($payload->of($recording, true, true));
    }
}
