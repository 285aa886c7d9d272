<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Trace\DeviceClass;
use Illuminate\Contracts\View\View;

final class CodebookController extends Controller
{
    public function __invoke(): View
    {
        return view('codebook', [
            'codebook' => Codebook::standard(),
            'evidence' => [
                'film' => new Shown(null, true),
                'mat' => new Shown(DeviceClass::Mat, false),
                'plate' => new Shown(DeviceClass::Plate, false),
                'two plates' => new Shown(DeviceClass::DualPlate, false),
                'film and plates' => new Shown(DeviceClass::DualPlate, true),
            ],
        ]);
    }
}
