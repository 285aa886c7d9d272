<?php

use App\Models\BootsByName;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Model;

/** @return list<class-string<Model>> every model there is */
function modelsThere(): array
{
    $models = [];
    foreach (glob(app_path('Models/*.php')) as $file) {
        $class = 'App\\Models\\'.basename($file, '.php');
        if (is_subclass_of($class, Model::class) && ! (new ReflectionClass($class))->isAbstract()) {
            $models[] = $class;
        }
    }

    return $models;
}

it('calls of every model\'s traits what the framework would call, and nothing more', function () {
    $held = (new ReflectionClass(Model::class))->getProperty('traitInitializers');
    expect(count(modelsThere()))->toBeGreaterThan(60);
    foreach (modelsThere() as $class) {
        expect(class_uses_recursive($class))->toHaveKey(BootsByName::class);
        new $class;
        $ours = $held->getValue()[$class];
        // As the framework finds them: by the name of the trait, or by an attribute.
        $traits = array_map(class_basename(...), class_uses_recursive($class));
        $theirs = $boots = [];
        foreach ((new ReflectionClass($class))->getMethods() as $method) {
            $is = static fn (string $way): bool => in_array(
                $method->getName(), array_map(static fn (string $t): string => $way.$t, $traits), true,
            );
            expect($method->getAttributes(Boot::class))->toBe([], $method->getName())
                ->and($method->getAttributes(Initialize::class))->toBe([], $method->getName());
            $theirs = [...$theirs, ...$is('initialize') ? [$method->getName()] : []];
            $boots = [...$boots, ...$is('boot') ? [$method] : []];
        }
        sort($ours);
        sort($theirs);
        expect($ours)->toBe($theirs, $class);
        foreach ($boots as $method) {
            expect($method->isStatic())->toBeTrue("$class::{$method->getName()}");
        }
    }
});

it('says of every model which table is its own where it is asked for at every request', function () {
    $tables = Illuminate\Support\Facades\Schema::getTableListing(schemaQualified: false);
    foreach (modelsThere() as $class) {
        expect((new $class)->getTable())->toBeIn($tables);
    }
});
