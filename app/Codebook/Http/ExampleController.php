<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\Actions\AddExample;
use App\Codebook\Actions\LookAtExample;
use App\Codebook\Codebooks;
use App\Http\Controller;
use App\Models\CodebookExample;
use App\Sight\Onlookers;
use Illuminate\Http\RedirectResponse;

/** Examples and counter-examples of a fault: put beside it, looked at, taken away. */
final class ExampleController extends Controller
{
    public function store(
        string $fault,
        ExampleRequest $request,
        AddExample $add,
        Onlookers $onlookers,
        Codebooks $codebooks,
    ): RedirectResponse {
        isset($codebooks->document()->whole()['faults'][$fault]) || abort(404);
        $recording = $request->recording($this->user(), $onlookers);

        return $this->attempt(
            fn () => $add(
                $fault,
                $recording,
                $request->boolean('shows'),
                $request->string('note')->value(),
                $this->user(),
            ),
            (string) __('definition.examples.added'),
        );
    }

    public function look(CodebookExample $example, LookAtExample $look): RedirectResponse
    {
        $look($example, $this->user());

        return redirect()->to(route('bench', $example->recording).'#v-'.$example->fault);
    }

    public function destroy(CodebookExample $example): RedirectResponse
    {
        return $this->attempt(static fn () => $example->delete(), (string) __('definition.examples.dropped'));
    }
}
