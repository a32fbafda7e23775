<?php

declare(strict_types=1);

return [
    'ssr' => ['enabled' => false],
    'pages' => ['paths' => [resource_path('js/screens')], 'extensions' => ['svelte']],
    'testing' => ['ensure_pages_exist' => true, 'page_paths' => [resource_path('js/screens')], 'page_extensions' => ['svelte']],
];
