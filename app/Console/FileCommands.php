<?php

declare(strict_types=1);

namespace App\Console;

use App\Console\Commands\AgreementCompare;
use App\Console\Commands\AgreementCompute;
use App\Console\Commands\AgreementPlan;
use App\Console\Commands\TraceMeasure;
use App\Words\Wording;
use Core\Remark\InWords;
use Core\Version;
use Illuminate\Console\Application;
use Illuminate\Contracts\Container\Container as ContainerContract;
use Illuminate\Contracts\Translation\Translator as Translates;
use Illuminate\Events\Dispatcher;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Translation\FileLoader;
use Illuminate\Translation\Translator;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;

/**
 * The commands that compute from files, without the rest of the application: neither its configuration nor its
 * providers are read, so that they start in a fraction of the time. `bin/vc` runs them.
 */
final class FileCommands
{
    private const COMMANDS = [AgreementCompare::class, AgreementCompute::class, AgreementPlan::class,
        TraceMeasure::class];

    /** @param  list<string>  $arguments  as the shell gives them, the program's name first */
    public static function run(string $root, array $arguments): int
    {
        $container = self::container($root);
        $console = new Application($container, new Dispatcher($container), Version::CURRENT);
        $console->setName('Verified Consensus, commands that need no database');
        $console->resolveCommands(self::COMMANDS);

        return $console->run(new ArgvInput($arguments), new ConsoleOutput());
    }

    private static function container(string $root): ContainerContract
    {
        $container = new LightContainer();
        LightContainer::setInstance($container);
        $translator = new Translator(new FileLoader(new Filesystem(), "$root/lang"), 'en');
        $container->instance('translator', $translator);
        $container->instance(Translates::class, $translator);
        $container->bind(InWords::class, Wording::class);

        return $container;
    }
}
