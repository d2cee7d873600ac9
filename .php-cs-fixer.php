<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules(['@PER-CS' => true, 'declare_strict_types' => true, 'no_unused_imports' => true, 'ordered_imports' => true, 'single_quote' => true, 'native_function_invocation' => false])
    ->setFinder(PhpCsFixer\Finder::create()->in([__DIR__ . '/core', __DIR__ . '/app', __DIR__ . '/config', __DIR__ . '/database', __DIR__ . '/routes', __DIR__ . '/tests', __DIR__ . '/bench', __DIR__ . '/bootstrap'])->exclude('cache')->append([__DIR__ . '/bin/serve.php', __DIR__ . '/bin/embrel']));
