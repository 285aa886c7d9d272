<?php

declare(strict_types=1);

namespace App\Academy\Http;

use App\Academy\Actions\BeginAcademy;
use App\Http\Controller;
use App\Models\Enums\LinkPurpose;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** The first visit to an empty database. */
final class BeginController extends Controller
{
    use BehindLink;

    public function show(string $token): View|Response
    {
        return $this->behind(
            $token,
            static fn (): View => view('academy.begin', [
                'token' => $token,
                'zones' => timezone_identifiers_list(),
                'zone' => config()->string('academy.zone'),
            ]),
            LinkPurpose::Begin,
        );
    }

    public function store(BeginRequest $request, string $token, BeginAcademy $begin): RedirectResponse
    {
        $text = static fn (string $field): string => $request->string($field)->trim()->value();
        $head = $begin(
            $this->link($token, LinkPurpose::Begin),
            $text('academy'),
            $text('zone'),
            $text('name'),
            $text('email'),
            $request->string('password')->value(),
        );

        return $this->enter($head);
    }
}
