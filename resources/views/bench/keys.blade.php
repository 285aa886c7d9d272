<dialog data-help-box aria-label="Keys">
    <h1 style="margin-bottom: 0.4rem">Keys</h1>
    <p class="small quiet">Press a key’s button, then the key you would rather have. <span data-keys-say role="status"></span></p>
    <div class="keys" data-keys></div>
    <p style="margin-top: 1rem"><button class="act second" type="button" data-do="shut">Back</button> <button class="act second" type="button" data-keys-reset>As they were made</button></p>
</dialog>
<script type="application/json" id="keys">@json((object) (auth()->user()->keys ?? []))</script>
