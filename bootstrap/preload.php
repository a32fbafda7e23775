<?php

declare(strict_types=1);

// What every request goes through, loaded once when the web workers start instead of class by class: the application, its
// core and the parts of the framework for pages. A few classes that extend packages we leave out are warned of, and stay unloaded.
$used = '#^(App|UpsweptBead\\\\Core|Inertia|Carbon|Psr|Monolog|Dotenv|Ramsey\\\\Uuid'
    .'|Illuminate\\\\(Auth|Bus|Cache|Config|Container|Contracts|Cookie|Database|Encryption|Events|Filesystem|Foundation'
    .'|Hashing|Http|Log|Pipeline|Queue|Routing|Session|Support|Translation|Validation|View)'
    .'|Symfony\\\\(Contracts|Component\\\\(HttpFoundation|HttpKernel|Routing|ErrorHandler|EventDispatcher)))\\\\#';
$unused = '#\\\\(Cli|Console|Commands?|Testing|Tests?|Fluent|PHPStan|Notifications|DataCollector|DependencyInjection|Loader|Doctrine|Bundle|Promises)\\\\'
    .'|HttpKernel\\\\(EventListener|HttpCache|HttpClientKernel|HttpKernelBrowser|Config)|Test\\\\Constraint#';
foreach (require dirname(__DIR__).'/vendor/composer/autoload_classmap.php' as $class => $file) {
    if (preg_match($used, $class) === 1 && preg_match($unused, $class) === 0) {
        opcache_compile_file($file);
    }
}
