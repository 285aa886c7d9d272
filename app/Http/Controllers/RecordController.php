<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\AuditEntry;
use Illuminate\Contracts\View\View;

final class RecordController extends Controller
{
    public function __invoke(): View
    {
        return view('record', ['entries' => AuditEntry::query()->with('user')->orderByDesc('created_at')->orderByDesc('id')->paginate(60)]);
    }
}
