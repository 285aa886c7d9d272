<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Queries\ShelfPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class ShelfController extends Controller
{
    public function index(Request $request, ShelfPage $page): View
    {
        $filter = $request->validate([
            'club' => ['nullable', 'string', 'max:40'], 'hand' => ['nullable', 'in:right,left'],
            'device' => ['nullable', 'in:mat,plate,dual-plate'], 'fault' => ['nullable', 'string', 'max:40'],
        ]);

        return view('shelf', $page->of(array_filter($filter), $this->user()));
    }
}
