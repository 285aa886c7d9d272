<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ActionException;
use App\Actions\ImportTraceFile;
use App\Http\Requests\ImportRequest;
use App\Models\Golfer;
use App\Queries\ShelfPage;
use Core\Format\FormatException;
use Core\Trace\DeviceClass;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

final class ShelfController extends Controller
{
    public function index(Request $request, ShelfPage $page): View
    {
        $filter = $request->validate([
            'club' => ['nullable', 'string', 'max:40'], 'hand' => ['nullable', 'in:right,left'],
            'device' => ['nullable', 'in:mat,plate,dual-plate'], 'fault' => ['nullable', 'string', 'max:40'],
        ]);

        return view('shelf', $page->of(array_filter($filter)));
    }

    public function store(ImportRequest $request, ImportTraceFile $import): RedirectResponse
    {
        /** @var UploadedFile $trace */
        $trace = $request->file('trace');
        /** @var UploadedFile|null $meta */
        $meta = $request->file('meta');
        $device = $request->validated('device');
        try {
            $recording = $import(
                Golfer::query()->with('consents')->whereKey($request->integer('golfer'))->firstOrFail(),
                $trace->getRealPath(), self::name($trace),
                $meta === null ? null : ['path' => $meta->getRealPath(), 'name' => self::name($meta)],
                $device === null ? null : DeviceClass::from($device), $this->user(),
            );
        } catch (FormatException $e) {
            return back()->withInput()->with('refused', $e->getMessage().'. Nothing was stored.');
        } catch (ActionException $e) {
            return back()->withInput()->with('refused', $e->getMessage());
        }

        return redirect()->route('bench', $recording)->with('done', 'On the Shelf. Look the trace over before you use it in a round.');
    }

    private static function name(UploadedFile $file): string
    {
        return mb_substr(basename($file->getClientOriginalName()), 0, 80);
    }
}
