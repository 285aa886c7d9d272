<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Http\Controller;
use App\Shelf\Pages\ShelfPage;
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

        return view('shelf.list', $page->of(array_filter($filter, static fn (mixed $f): bool => $f !== null && $f !== ''), $this->user()));
    }
}
