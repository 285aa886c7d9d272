<?php

declare(strict_types=1);

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Film;
use Core\Codebook\CodebookException;
use Core\Film\FilmException;
use Core\Format\FormatException;
use Core\Reading\ReadingException;
use Illuminate\Support\Facades\Lang;
use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

/** Where a code stands among the arguments of what refuses, and the names that a helper adds by itself. */
const REFUSING = [
    'because' => [0, []],
    'at' => [3, []],
    'in' => [1, []],
    'refuse' => [0, ['what', 'key', 'name']],
    'wrong' => [1, []],
];

/** @return list<array{string, string, list<string>|null}> place, area and code, what is told (null: not to be seen) */
function refusals(): array
{
    static $found = null;
    if ($found !== null) {
        return $found;
    }
    $parser = (new ParserFactory)->createForNewestSupportedVersion();
    $finder = new NodeFinder;
    $found = [];
    foreach ([...phpFiles('core'), ...phpFiles('app')] as $file) {
        $source = (string) file_get_contents(base_path($file));
        if (preg_match('/(::(because|at|in)|->(refuse|wrong))\(/', $source) !== 1) {
            continue;
        }
        $tree = (array) $parser->parse($source);
        foreach ($finder->find($tree, fn (Node $n): bool => $n instanceof Expr\CallLike) as $call) {
            $name = match (true) {
                ! $call instanceof Expr\StaticCall && ! $call instanceof Expr\MethodCall => null,
                $call->name instanceof Node\Identifier => $call->name->name,
                default => null,
            };
            if ($name === null || ! isset(REFUSING[$name])) {
                continue;
            }
            $area = refusingArea($call, $file);
            [$at, $told] = REFUSING[$name];
            if ($name === 'wrong' && str_ends_with($file, 'C3dReader.php')) {
                $at = 0;
            }
            $code = $call->getArgs()[$at] ?? null;
            if ($area === null || $code === null) {
                continue;
            }
            $seen = true;
            foreach (array_slice($call->getArgs(), $at + 1) as $arg) {
                $seen = $seen && ! $arg->unpack && $arg->name !== null;
                $told[] = (string) $arg->name;
            }
            foreach (literals($code->value) as $literal) {
                $found[] = ["$file:{$call->getStartLine()}", "$area.$literal", $seen ? $told : null];
            }
        }
    }

    return $found;
}

/** @return list<string> the texts an expression can come to, as far as they are written in it */
function literals(Expr $of): array
{
    return match (true) {
        $of instanceof Node\Scalar\String_ => [$of->value],
        $of instanceof Expr\Ternary => [...literals($of->if ?? $of->cond), ...literals($of->else)],
        $of instanceof Expr\Match_ => array_merge(...array_map(fn ($arm) => literals($arm->body), $of->arms)),
        default => [],
    };
}

function refusingArea(Expr\StaticCall|Expr\MethodCall $call, string $file): ?string
{
    if ($call instanceof Expr\MethodCall) {
        return match (true) {
            str_starts_with($file, 'core/Codebook/') => 'codebook',
            str_starts_with($file, 'core/Format/') => 'format',
            default => null,
        };
    }
    $class = $call->class instanceof Node\Name ? $call->class->getLast() : '';
    if ($class === 'self' && str_ends_with($file, 'Exception.php')) {
        $class = basename($file, '.php');
    }

    return str_ends_with($class, 'Exception') && $class !== 'ActionException' ? lcfirst(substr($class, 0, -9)) : null;
}

/** @return list<string> relative to the project's root */
function phpFiles(string $in): array
{
    $out = [];
    foreach (Illuminate\Support\Facades\File::allFiles(base_path($in)) as $file) {
        if ($file->getExtension() === 'php') {
            $out[] = "$in/{$file->getRelativePathname()}";
        }
    }

    return $out;
}

function sources(): string
{
    return implode('', array_map(
        fn (string $file): string => (string) file_get_contents(base_path($file)),
        [...phpFiles('core'), ...phpFiles('app')],
    ));
}

/** @return array<string, string> lines of core.php by area and code, without the things they speak of */
function refusalLines(): array
{
    $out = [];
    foreach (require lang_path('en/core.php') as $area => $lines) {
        foreach ($lines as $code => $line) {
            if (is_string($line)) {
                $out["$area.$code"] = $line;
            }
        }
    }

    return $out;
}

it('has a line for everything that is refused, and is told what the line speaks of', function () {
    $lines = refusalLines();
    $refusals = refusals();
    expect(count($refusals))->toBeGreaterThan(150);
    foreach ($refusals as [$place, $code, $told]) {
        expect(array_key_exists($code, $lines))->toBeTrue("$place refuses with $code, which has no line");
        preg_match_all('/:([a-z][a-z0-9_]*)/i', $lines[$code], $asked);
        $missing = $told === null ? [] : array_diff(array_map(lcfirst(...), $asked[1]), $told);
        expect($missing)->toBe([], "$place does not say what its line speaks of");
    }
});

it('has no line that nothing says', function () {
    $said = array_column(refusals(), 1);
    $sources = sources();
    foreach (array_keys(refusalLines()) as $line) {
        [, $code] = explode('.', $line, 2);
        expect(in_array($line, $said, true) || str_contains($sources, "'$code'"))->toBeTrue("$line is never said");
    }
});

it('says every thing that a code speaks of', function () {
    $sources = sources();
    foreach (require lang_path('en/core.php') as $area => $lines) {
        foreach (array_keys($lines['what'] ?? []) as $code) {
            $put = '"'.strstr($code, '-', true).'-$';
            expect(str_contains($sources, "'$code'") || str_contains($sources, $put))
                ->toBeTrue("core.$area.what.$code is never spoken of");
        }
    }
});

it('puts a refusal into another one in small letters', function () {
    $inner = ReadingException::because('confidence');
    expect(Refusal::sentenceOf($inner))->toBe('Confidence lies between 50 and 100 per cent.')
        ->and(Refusal::sentenceOf(FormatException::at('a.csv', 3, 'sure', $inner)))
        ->toBe('a.csv, line 3, column sure: confidence lies between 50 and 100 per cent.');
});

it('takes what somebody wrote as it is, also where it looks like a line or a placeholder', function () {
    foreach ([':held', 'core.reading.confidence', '%s {"a":1}', ":lens'", "\xff\xfe", ''] as $text) {
        expect(Refusal::sentenceOf(CodebookException::because('no-lens', lens: $text, held: 'sway')))
            ->toBe("There is no lens '$text'; held: sway.");
    }
});

it('is kept whole, to be said in the words of then; a sentence of before stays what it was', function () {
    $refused = [
        Refusal::of(ReadingException::because('text', what: 'cue', most: 90)),
        Refusal::of(FormatException::at('a.csv', 3, 'sure', ReadingException::because('confidence'))),
        ActionException::because('refusals.sittings.repeats.later', ['cases' => 5, 'count' => 0])->refusal,
        new Refusal('refusals.works.interrupted'),
    ];
    foreach ($refused as $one) {
        expect(Refusal::kept($one->toJson()))->toEqual($one)
            ->and(Refusal::kept($one->toJson())->sentence())->toBe($one->sentence())
            ->and($one->sentence())->not->toContain('refusals.')->not->toMatch('/:[a-z]/');
    }
    expect($refused[2]->sentence())->toContain('none can be');
    foreach (['Interrupted; it is tried again.', '{"a":1}', '[]', 'null', '{"line":3}', '12', ''] as $then) {
        expect(Refusal::kept($then)->sentence())->toBe($then);
    }
    $broken = FilmException::because('codec', codec: "\xff\xfe");
    expect(Refusal::kept(Refusal::of($broken)->toJson())->sentence())->toContain('coded in a way that is not taken');
    $film = Film::query()->firstOrNew();
    $film->message = Refusal::of(FilmException::because('no-film'))->toJson();
    Lang::addLines(['core.film.no-film' => 'Nothing to look at.'], 'en');
    expect($film->says())->toBe('Nothing to look at.');
});

it('has a line for everything that an action refuses, and is told what the line speaks of', function () {
    $parser = (new ParserFactory)->createForNewestSupportedVersion();
    $seen = 0;
    foreach (phpFiles('app') as $file) {
        $source = (string) file_get_contents(base_path($file));
        if (! str_contains($source, 'ActionException::because(')) {
            continue;
        }
        $calls = (new NodeFinder)->find(
            (array) $parser->parse($source),
            fn (Node $n): bool => $n instanceof Expr\StaticCall
                && $n->class instanceof Node\Name
                && $n->class->getLast() === 'ActionException'
                && $n->name instanceof Node\Identifier
                && $n->name->name === 'because',
        );
        foreach ($calls as $call) {
            $with = $call->getArgs()[1]->value ?? null;
            $told = $with instanceof Expr\Array_
                ? array_map(fn (Node\ArrayItem $item): string => $item->key->value ?? '', $with->items)
                : [];
            foreach (literals($call->getArgs()[0]->value) as $line) {
                $seen++;
                expect(Lang::has($line))->toBeTrue("$file refuses by $line, which is no line");
                preg_match_all('/:([a-z][a-z0-9_-]*[a-z0-9])/i', (string) Lang::get($line), $asked);
                foreach ($asked[1] as $name) {
                    $known = array_filter($told, fn (string $t): bool => str_starts_with(lcfirst($name), $t));
                    expect($known)->not->toBe([], "$file does not say :$name of $line");
                }
            }
        }
    }
    expect($seen)->toBeGreaterThan(60);
});
