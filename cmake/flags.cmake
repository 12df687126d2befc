# One interface target carries every flag of the project.
add_library(up_flags INTERFACE)
target_compile_features(up_flags INTERFACE cxx_std_20)
target_compile_options(up_flags INTERFACE
  -Wall -Wextra -Wpedantic -Wconversion -Wdouble-promotion -Wold-style-cast -Wnon-virtual-dtor
  -ffp-contract=off
  -pthread # some of the libraries ask for it; a precompiled header serves only files with the same definitions
  # GCC 12 reports these falsely, for std::optional and for text + text (its bug 105651); the asan preset watches instead.
  -Wno-maybe-uninitialized -Wno-restrict)
option(UPSTAIRS_WARNINGS_AS_ERRORS "Treat warnings as errors" OFF)
option(UPSTAIRS_SANITIZE "Address and undefined-behaviour sanitizers" OFF)
option(UPSTAIRS_SANITIZE_THREADS "Thread sanitizer" OFF)
option(UPSTAIRS_FUZZ "Fuzzers of the readers (needs clang)" OFF)
option(UPSTAIRS_TIDY "Run clang-tidy while compiling" OFF)
option(UPSTAIRS_CCACHE "Compile through ccache when it is there" OFF)
option(UPSTAIRS_PRECOMPILE "Compile the headers that everybody reads once" ON)
option(UPSTAIRS_TOGETHER "Compile eight files of a room at a time, where nothing is optimised much" OFF)
if(NOT UPSTAIRS_TOGETHER) # names of one file may hide those of another then
  target_compile_options(up_flags INTERFACE -Wshadow)
endif()
option(UPSTAIRS_LIGHT_DEBUG "Line tables only: small, quick to link" OFF)
if(UPSTAIRS_WARNINGS_AS_ERRORS)
  target_compile_options(up_flags INTERFACE -Werror)
endif()
if(UPSTAIRS_SANITIZE)
  target_compile_options(up_flags INTERFACE -fsanitize=address,undefined -fno-omit-frame-pointer)
  target_link_options(up_flags INTERFACE -fsanitize=address,undefined)
endif()
if(UPSTAIRS_SANITIZE_THREADS)
  target_compile_options(up_flags INTERFACE -fsanitize=thread)
  target_link_options(up_flags INTERFACE -fsanitize=thread)
endif()
if(UPSTAIRS_FUZZ)
  target_compile_options(up_flags INTERFACE -fsanitize=fuzzer-no-link,address,undefined -fno-sanitize-recover=undefined
    -fno-omit-frame-pointer -Wno-unknown-warning-option)
  target_link_options(up_flags INTERFACE -fsanitize=address,undefined)
endif()
if(UPSTAIRS_LIGHT_DEBUG)
  target_compile_options(up_flags INTERFACE -g1)
endif()
if(UPSTAIRS_TIDY)
  set(CMAKE_CXX_CLANG_TIDY clang-tidy)
endif()
if(UPSTAIRS_CCACHE)
  find_program(CCACHE_PROGRAM ccache)
  if(CCACHE_PROGRAM)
    # Paths below the project are hashed as relative ones, so that every checkout on a machine shares what was compiled.
    set(CMAKE_CXX_COMPILER_LAUNCHER ${CMAKE_COMMAND} -E env CCACHE_BASEDIR=${PROJECT_SOURCE_DIR} CCACHE_NOHASHDIR=1
      CCACHE_DEPEND=1 CCACHE_SLOPPINESS=pch_defines,time_macros,include_file_mtime,include_file_ctime ${CCACHE_PROGRAM})
  endif()
endif()

# Engines are compiled as fast as they can be. What only carries things about (window, sentences, files, tests) spends
# its time in others' code: optimised less, it compiles in half the time (docs/decisions/0007).
set(CMAKE_CXX_FLAGS_RELEASE "-O2 -DNDEBUG")
function(up_quick_to_compile name)
  target_compile_options(${name} PRIVATE $<$<NOT:$<CONFIG:Debug>>:-O1>)
  up_together(${name})
endfunction()
function(up_together name)
  if(UPSTAIRS_TOGETHER)
    set_target_properties(${name} PROPERTIES UNITY_BUILD ON UNITY_BUILD_BATCH_SIZE 8)
  endif()
endfunction()

# up_precompiled(name HEADER header LINKS other … [QUICK]): a header compiled once; libraries that name it with HEARS
# read it from there. They must be compiled with the same flags and definitions, or the compiler says so and stops.
function(up_precompiled name)
  cmake_parse_arguments(ARG "QUICK" "HEADER" "LINKS" ${ARGN})
  if(UPSTAIRS_PRECOMPILE)
    file(CONFIGURE OUTPUT ${name}.cpp CONTENT "")
    add_library(${name} OBJECT ${CMAKE_CURRENT_BINARY_DIR}/${name}.cpp)
    set_target_properties(${name} PROPERTIES AUTOMOC OFF AUTORCC OFF)
    target_include_directories(${name} PUBLIC ${PROJECT_SOURCE_DIR})
    target_link_libraries(${name} PUBLIC up_flags ${ARG_LINKS})
    if(ARG_QUICK)
      up_quick_to_compile(${name})
    endif()
    target_precompile_headers(${name} PRIVATE <${ARG_HEADER}>) # found by -I: the same bytes in every checkout
  endif()
endfunction()

# up_hears(name precompiled): the target's files begin with that precompiled header.
function(up_hears name precompiled)
  if(UPSTAIRS_PRECOMPILE AND NOT precompiled STREQUAL "nothing")
    target_precompile_headers(${name} REUSE_FROM ${precompiled})
  endif()
endfunction()

# up_library(name SOURCES a.cpp … LINKS other … [QUICK] [HEARS precompiled|nothing]): one room of the house as a static
# library.
function(up_library name)
  cmake_parse_arguments(ARG "QUICK" "HEARS" "SOURCES;LINKS;PRIVATE_LINKS" ${ARGN})
  add_library(${name} STATIC ${ARG_SOURCES})
  target_include_directories(${name} PUBLIC ${PROJECT_SOURCE_DIR})
  target_link_libraries(${name} PUBLIC up_flags ${ARG_LINKS} PRIVATE ${ARG_PRIVATE_LINKS})
  if(ARG_QUICK)
    up_quick_to_compile(${name})
  endif()
  if(NOT ARG_HEARS)
    if(ARG_QUICK)
      set(ARG_HEARS up_quick)
    else()
      set(ARG_HEARS up_standard)
    endif()
  endif()
  up_hears(${name} ${ARG_HEARS})
endfunction()
